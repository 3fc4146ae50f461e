<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bike;

use App\Actions\Bike\BrushDrivetrain;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\MomentRequest;
use App\Models\Bike;
use Illuminate\Http\RedirectResponse;

final class BrushingController extends Controller
{
    public function store(MomentRequest $request, Bike $bike, BrushDrivetrain $brush): RedirectResponse
    {
        return $this->done($brush($request->context(), $bike, $request->moment()));
    }
}
