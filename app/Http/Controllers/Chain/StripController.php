<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Actions\Chain\StripChain;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\MomentRequest;
use App\Models\Chain;
use Illuminate\Http\RedirectResponse;

final class StripController extends Controller
{
    public function store(MomentRequest $request, Chain $chain, StripChain $stripChain): RedirectResponse
    {
        return $this->done($stripChain($request->context(), $chain, $request->moment()));
    }
}
