<?php

declare(strict_types=1);

namespace App\Http\Controllers\Drip;

use App\Actions\Drip\CareForChain;
use App\Guided\OpenJobs;
use App\Http\Controllers\Controller;
use App\Http\Props\WetProps;
use App\Http\Requests\Drip\CareRequest;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Support\CurrentWorkshop;
use App\Text\Speaker;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** A chain and a cloth: the short path after a wet ride, and the wipe between. */
final class CareController extends Controller
{
    public function show(Chain $chain, CurrentWorkshop $current, ReadBook $readBook, OpenJobs $jobs, Speaker $speaker): Response|RedirectResponse
    {
        $page = (new WetProps($readBook($current->workshop()), $speaker->voice(), $jobs($current->workshop())))->of($chain->id);

        return $page === null ? redirect()->route('chain', $chain) : Inertia::render('Ride/Wet', $page);
    }

    public function store(CareRequest $request, Chain $chain, CareForChain $care): RedirectResponse
    {
        return $this->done($care($request->context(), $chain, $request->care(), $request->moment()));
    }
}
