<?php

declare(strict_types=1);

namespace App\Http\Controllers\Drip;

use App\Actions\Drip\KeepBottle;
use App\Http\Controllers\Controller;
use App\Http\Requests\Drip\BottleRequest;
use App\Models\Bottle;
use Illuminate\Http\RedirectResponse;

final class BottleController extends Controller
{
    public function store(BottleRequest $request, KeepBottle $keep): RedirectResponse
    {
        return $this->done($keep($request->context(), null, $request->settings(), $request->leftMl()));
    }

    public function update(BottleRequest $request, Bottle $bottle, KeepBottle $keep): RedirectResponse
    {
        return $this->done($keep($request->context(), $bottle, $request->settings(), $request->leftMl()));
    }
}
