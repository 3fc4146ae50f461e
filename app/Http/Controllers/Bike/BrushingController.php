<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bike;

use App\Actions\Bike\BrushDrivetrain;
use App\Actions\Bike\StartCare;
use App\Http\Controllers\Controller;
use App\Http\Requests\Bike\CareRequest;
use App\Http\Requests\Chain\MomentRequest;
use App\Models\Bike;
use Illuminate\Http\RedirectResponse;

final class BrushingController extends Controller
{
    /** Led by the hand, step by step. */
    public function lead(CareRequest $request, Bike $bike, StartCare $startCare): RedirectResponse
    {
        return redirect()->route(
            'job',
            $startCare($request->context(), $bike, $request->boolean('deep'), $request->boolean('painted'))->id,
        );
    }

    public function store(MomentRequest $request, Bike $bike, BrushDrivetrain $brush): RedirectResponse
    {
        return $this->done($brush($request->context(), $bike, $request->moment()));
    }
}
