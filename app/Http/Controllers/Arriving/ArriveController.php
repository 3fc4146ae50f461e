<?php

declare(strict_types=1);

namespace App\Http\Controllers\Arriving;

use App\Actions\Arriving\Arrive;
use App\Http\Controllers\Controller;
use App\Http\Props\ArriveProps;
use App\Http\Requests\Arriving\ArriveRequest;
use App\Support\Find;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** One bike comes in with its used parts. */
final class ArriveController extends Controller
{
    public function create(Request $request, ArriveProps $props, Find $find): Response
    {
        return Inertia::render('Arriving/Arrive', $props->form($find->bikeIfNamed($request->query('bike'))?->id));
    }

    public function store(ArriveRequest $request, Arrive $arrive): RedirectResponse
    {
        return $this->done($arrive($request->context(), [$request->arrival()], $request->asOf()), route('shed'));
    }
}
