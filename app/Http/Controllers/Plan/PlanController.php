<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\KeepPlan;
use App\Actions\Plan\PlanRide;
use App\Cost\ReadPrices;
use App\Http\Controllers\Controller;
use App\Http\Props\PlanProps;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\Plan\PlannedRideRequest;
use App\Http\Requests\Plan\PlanRequest;
use App\Http\Requests\Plan\PlanTermsRequest;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Plan\ReadPlan;
use App\Plan\ReadShopping;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use App\Wear\ReadWear;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** The weeks ahead: planned, moved by hand, followed. */
final class PlanController extends Controller
{
    public function index(
        Request $request,
        CurrentWorkshop $current,
        ReadPlan $readPlan,
        ReadBook $readBook,
        Translators $translators,
        ReadWear $readWear,
        ReadShopping $readShopping,
        ReadPrices $readPrices,
    ): Response {
        $weeks = min(ReadPlan::MOST_WEEKS, max(2, $request->integer('weeks', ReadPlan::WEEKS)));
        $workshop = $current->workshop();
        $plan = $readPlan($workshop, $weeks);
        $props = new PlanProps($readBook($workshop), $translators->current(), $plan, $readWear($workshop));

        return Inertia::render(
            'Plan/Ahead',
            $props->page($workshop, $readPlan->rides($workshop), $readShopping($workshop, $plan), $readPrices($workshop), $weeks),
        );
    }

    /** What comes of pot days by hand; nothing is kept. */
    public function try(
        PlanRequest $request,
        CurrentWorkshop $current,
        ReadPlan $readPlan,
        ReadBook $readBook,
        Translators $translators,
        ReadWear $readWear,
    ): JsonResponse {
        $workshop = $current->workshop();
        $plan = $readPlan($workshop, $request->integer('weeks', ReadPlan::WEEKS));
        $props = new PlanProps($readBook($workshop), $translators->current(), $plan, $readWear($workshop));
        $days = $plan->days($request->dates());

        return response()->json($props->plan($plan->along($days, $request->boolean('bottle')), $days, $request->boolean('bottle')));
    }

    public function keep(PlanRequest $request, KeepPlan $keepPlan): RedirectResponse
    {
        return $this->done(
            $keepPlan($request->context(), [
                SettingKey::PlanByHand->value => $request->dates() ?: null,
                SettingKey::PlanBottle->value => (int) $request->boolean('bottle'),
                SettingKey::PlanFollowed->value => 1,
            ]),
        );
    }

    /** Back to the best days, with some pinned and some forbidden. */
    public function planAgain(PlanRequest $request, KeepPlan $keepPlan): RedirectResponse
    {
        return $this->done(
            $keepPlan($request->context(), [
                SettingKey::PlanByHand->value => null,
                SettingKey::PlanBottle->value => null,
                SettingKey::PlanFollowed->value => 1,
                SettingKey::PlanPinned->value => $request->dates('pinned') ?: null,
                SettingKey::PlanForbidden->value => $request->dates('forbidden') ?: null,
            ]),
        );
    }

    public function unfollow(ActionIdRequest $request, KeepPlan $keepPlan): RedirectResponse
    {
        return $this->done($keepPlan($request->context(), [SettingKey::PlanFollowed->value => null]));
    }

    public function terms(PlanTermsRequest $request, KeepPlan $keepPlan): RedirectResponse
    {
        return $this->done($keepPlan($request->context(), $request->settings()));
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
}
