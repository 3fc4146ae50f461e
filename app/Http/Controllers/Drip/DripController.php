<?php

declare(strict_types=1);

namespace App\Http\Controllers\Drip;

use App\Actions\Drip\PlanDrip;
use App\Actions\Drip\StartDrip;
use App\Actions\Drip\TopUpChain;
use App\Http\Controllers\Controller;
use App\Http\Props\DripProps;
use App\Http\Requests\Drip\DripRequest;
use App\Http\Requests\Drip\TopUpRequest;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Plan\ReadPlan;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** Drip top-ups: planned and guided, or done already. */
final class DripController extends Controller
{
    public function create(Chain $chain, CurrentWorkshop $current, ReadBook $readBook, Translators $translators): Response
    {
        return Inertia::render('Drip/Plan', (new DripProps($readBook($current->workshop()), $translators->current()))->create($chain->id));
    }

    public function plan(DripRequest $request, PlanDrip $planDrip, ReadBook $readBook, ReadPlan $readPlan): JsonResponse
    {
        $draft = $planDrip($request->workshop(), $request->wanted(), $request->choices(), $request->bottle());

        $book = $readBook($request->workshop());
        $on = $book->fittings()->bikeOf($draft->chain->chainId, $draft->chain->nowS);

        return response()->json(
            (new DripProps($book, $request->translator()))->plan(
                $draft,
                $on === null ? null : $readPlan($request->workshop())->nextRideS($on),
            ),
        );
    }

    public function store(DripRequest $request, StartDrip $startDrip): RedirectResponse
    {
        return redirect()->route('job', $startDrip($request->context(), $request->wanted(), $request->choices(), $request->bottle())->id);
    }

    public function record(TopUpRequest $request, Chain $chain, TopUpChain $topUpChain): RedirectResponse
    {
        return $this->done(
            $topUpChain($request->context(), $chain, $request->facts($chain), $request->moment(), $request->boolean('stripped')),
        );
    }
}
