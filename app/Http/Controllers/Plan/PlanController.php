<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\KeepPlan;
use App\Actions\Plan\PlanRide;
use App\Actions\Workshop\ChangeSettings;
use App\Cost\ReadPrices;
use App\Http\Controllers\Controller;
use App\Http\Props\PlanProps;
use App\Http\Props\ShoppingProps;
use App\Http\Requests\Plan\OddWeekRequest;
use App\Http\Requests\Plan\PlannedRideRequest;
use App\Http\Requests\Plan\PlanRequest;
use App\Http\Requests\Plan\PlanTermsRequest;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\People\ReadWhose;
use App\Plan\ReadMinutes;
use App\Plan\ReadPlan;
use App\Plan\ReadShopping;
use App\Pot\ReadBaths;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use App\Wear\ReadWear;
use App\Weather\ReadWeather;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The weeks ahead: the plan, and what somebody wants otherwise. */
final class PlanController extends Controller
{
    public function index(
        CurrentWorkshop $current,
        ReadPlan $readPlan,
        ReadBook $readBook,
        Translators $translators,
        ReadWear $readWear,
        ReadWhose $readWhose,
        ReadShopping $readShopping,
        ReadPrices $readPrices,
        ReadBaths $readBaths,
        ReadMinutes $readMinutes,
        ReadWeather $readWeather,
    ): Response {
        $workshop = $current->workshop();
        $plan = $readPlan($workshop);
        [$book, $translator] = [$readBook($workshop), $translators->current()];
        $props = new PlanProps($book, $translator, $plan, $readWear($workshop), $readWhose());

        return Inertia::render(
            'Plan/Ahead',
            $props->page(
                $current->membership(),
                $readPlan->rides($workshop),
                array_keys($readBaths($workshop)),
                $readWeather->wetDays($workshop, $plan),
            ) + [
                'shopping' => Inertia::defer(
                    fn() => (new ShoppingProps($book, $translator, $plan))->all($readShopping($workshop, $plan), $readPrices($workshop)),
                ),
                'sure' => Inertia::defer(fn() => $props->sure()),
                'learned' => Inertia::defer(fn() => $props->learned($readMinutes($workshop))),
                'passed' => Inertia::defer(fn() => $props->passed($readPlan->passed($workshop))),
            ],
        );
    }

    /** What comes of other days; nothing is kept. */
    public function try(
        PlanRequest $request,
        CurrentWorkshop $current,
        ReadPlan $readPlan,
        ReadBook $readBook,
        Translators $translators,
        ReadWear $readWear,
        ReadWhose $readWhose,
    ): JsonResponse {
        $workshop = $current->workshop();
        $plan = $readPlan($workshop);
        $tried = $request->tried($plan);
        $props = new PlanProps($readBook($workshop), $translators->current(), $tried, $readWear($workshop), $readWhose());

        return response()->json($props->plan($plan));
    }

    public function keep(PlanRequest $request, KeepPlan $keepPlan): RedirectResponse
    {
        return $this->done($keepPlan($request->context(), $request->settings(), $request->notOn()));
    }

    public function terms(PlanTermsRequest $request, KeepPlan $keepPlan): RedirectResponse
    {
        return $this->done($keepPlan($request->context(), $request->settings(), atOnce: $request->atOnce()));
    }

    public function ride(PlannedRideRequest $request, PlanRide $planRide, Moments $moments): RedirectResponse
    {
        $from = $request->string('from')->toString();

        return $this->done(
            $planRide(
                $request->context(),
                $request->bikeIfNamed(),
                $from,
                $request->filled('until') ? $request->string('until')->toString() : $from,
                $request->plannedKm(),
                $request->condition(),
                $request->string('name')->trim()->toString(),
                $moments->now(),
            ),
        );
    }

    /** A week is left out of what is usual for a bike, or counts again. */
    public function oddWeek(OddWeekRequest $request, Bike $bike, ChangeSettings $changeSettings): RedirectResponse
    {
        return $this->done($changeSettings($request->context(), $bike, $request->settings($bike), false));
    }
}
