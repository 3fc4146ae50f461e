<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ride;

use App\Actions\Ride\EditRide;
use App\Actions\Ride\LogRide;
use App\Actions\Ride\MoveRides;
use App\Actions\Ride\SetCondition;
use App\Actions\Ride\SplitRide;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Http\Props\RideProps;
use App\Http\Requests\Ride\ConditionRequest;
use App\Http\Requests\Ride\MoveRidesRequest;
use App\Http\Requests\Ride\RideRequest;
use App\Http\Requests\Ride\SplitRequest;
use App\Logbook\ReadBook;
use App\Logbook\WetChain;
use App\Models\Ride;
use App\People\ReadWhose;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use App\Support\ListSearch;
use App\Text\Translators;
use App\Weather\ReadWeather;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class RideController extends Controller
{
    public function index(
        Request $request,
        CurrentWorkshop $current,
        ReadBook $readBook,
        ReadWhose $readWhose,
        ReadWeather $readWeather,
        Translators $translators,
        Find $find,
    ): Response {
        return Inertia::render(
            'Ride/Rides',
            (new RideProps($readBook($current->workshop()), $translators->current()))->all(
                $current->workshop(),
                ListSearch::of($request, $find),
                $readWhose(),
                $readWeather->wetterRides($current->workshop()),
            ),
        );
    }

    /** A wet ride leads to what the chain wants today. */
    public function store(RideRequest $request, LogRide $logRide, WetChain $wetChain): RedirectResponse
    {
        $action = $logRide($request->context(), $request->facts(), loud: $request->boolean('loud'));
        $wet = $wetChain($request->workshop(), $action);

        return $this->done($action, $wet === null ? null : route('wet', $wet));
    }

    public function update(RideRequest $request, Ride $ride, EditRide $editRide): RedirectResponse
    {
        return $this->done($editRide($request->context(), $ride, $request->facts($ride)));
    }

    public function move(MoveRidesRequest $request, MoveRides $moveRides): RedirectResponse|JsonResponse
    {
        return $this->doOrPreview($request, fn() => $moveRides($request->context(), $request->rides(), $request->bike()));
    }

    public function condition(ConditionRequest $request, SetCondition $setCondition): RedirectResponse|JsonResponse
    {
        return $this->doOrPreview($request, fn() => $setCondition($request->context(), $request->rides(), $request->condition()));
    }

    public function split(SplitRequest $request, Ride $ride, SplitRide $splitRide): RedirectResponse|JsonResponse
    {
        $chain = $request->chain() ?? throw new NotPossible('chain_id', 'already_on');

        return $this->doOrPreview($request, fn() => $splitRide($request->context(), $ride, $request->km(), $request->moment(), $chain));
    }
}
