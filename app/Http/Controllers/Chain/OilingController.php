<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Actions\Chain\ReportOil;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\MomentRequest;
use App\Models\Chain;
use Illuminate\Http\RedirectResponse;

final class OilingController extends Controller
{
    public function store(MomentRequest $request, Chain $chain, ReportOil $reportOil): RedirectResponse
    {
        return $this->done($reportOil($request->context(), $chain, $request->moment()));
    }
}
