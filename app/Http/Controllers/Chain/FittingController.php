<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Actions\Fitting\FitChain;
use App\Actions\Fitting\StartFit;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\FittingRequest;
use App\Models\Bike;
use Illuminate\Http\RedirectResponse;

final class FittingController extends Controller
{
    public function store(FittingRequest $request, Bike $bike, FitChain $fitChain): RedirectResponse
    {
        return $this->done($fitChain($request->context(), $bike, $request->chain(), $request->moment(), $request->terms()));
    }

    /** The same, led by the hand. */
    public function lead(FittingRequest $request, Bike $bike, StartFit $startFit): RedirectResponse
    {
        return redirect()->route('job', $startFit($request->context(), $bike, $request->chain(), $request->terms())->id);
    }
}
