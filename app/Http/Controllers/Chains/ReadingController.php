<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chains;

use App\Actions\Chains\RecordReading;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chains\ReadingRequest;
use App\Models\Chain;
use Illuminate\Http\RedirectResponse;

final class ReadingController extends Controller
{
    public function store(ReadingRequest $request, Chain $chain, RecordReading $recordReading): RedirectResponse
    {
        return $this->done($recordReading($request->context(), $chain, $request->reading(), $request->moment(), $request->asks()));
    }
}
