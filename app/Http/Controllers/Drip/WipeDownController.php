<?php

declare(strict_types=1);

namespace App\Http\Controllers\Drip;

use App\Actions\Drip\WipeDownChain;
use App\Guided\OpenJobs;
use App\Http\Controllers\Controller;
use App\Http\Props\WetProps;
use App\Http\Requests\Drip\WipeDownRequest;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Plan\ReadPlan;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** A chain and a cloth: the short path after a wet ride, and the wipe between. */
final class WipeDownController extends Controller
{
    public function show(
        Chain $chain,
        CurrentWorkshop $current,
        ReadBook $readBook,
        OpenJobs $openJobs,
        Translators $translators,
        ReadPlan $readPlan,
    ): Response|RedirectResponse {
        $workshop = $current->workshop();
        $jobs = $openJobs($workshop);
        $props = new WetProps($readBook($workshop), $translators->current(), $jobs, $readPlan($workshop, $jobs));
        $page = $props->of($chain->id);

        return $page === null ? redirect()->route('chain', $chain) : Inertia::render('Ride/Wet', $page);
    }

    public function store(WipeDownRequest $request, Chain $chain, WipeDownChain $care): RedirectResponse
    {
        return $this->done($care($request->context(), $chain, $request->care(), $request->moment()));
    }
}
