<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Actions\Chain\ReportNoise;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\MomentRequest;
use App\Models\Bike;
use Illuminate\Http\RedirectResponse;

final class NoiseController extends Controller
{
    public function store(MomentRequest $request, Bike $bike, ReportNoise $reportNoise): RedirectResponse
    {
        return $this->done($reportNoise($request->context(), $bike, $request->moment()));
    }
}
