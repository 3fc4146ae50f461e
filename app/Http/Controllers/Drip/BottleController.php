<?php

declare(strict_types=1);

namespace App\Http\Controllers\Drip;

use App\Actions\Drip\KeepBottle;
use App\Actions\Workshop\RemoveUnused;
use App\Http\Controllers\Controller;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\Drip\BottleRequest;
use App\Models\Bottle;
use Illuminate\Http\RedirectResponse;

final class BottleController extends Controller
{
    public function store(BottleRequest $request, KeepBottle $keep): RedirectResponse
    {
        return $this->done($keep($request->context(), null, $request->settings(), $request->leftMl()));
    }

    public function destroy(ActionIdRequest $request, Bottle $bottle, RemoveUnused $remove): RedirectResponse
    {
        return $this->done($remove($request->context(), $bottle));
    }

    public function update(BottleRequest $request, Bottle $bottle, KeepBottle $keep): RedirectResponse
    {
        return $this->done($keep($request->context(), $bottle, $request->settings(), $request->leftMl()));
    }
}
