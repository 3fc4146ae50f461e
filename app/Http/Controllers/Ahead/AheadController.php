<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ahead;

use App\Actions\Ahead\KeepPlan;
use App\Actions\Ahead\PlanRide;
use App\Ahead\ReadPlan;
use App\Ahead\ReadShopping;
use App\Http\Controllers\Controller;
use App\Http\Props\AheadProps;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\Ahead\PlannedRideRequest;
use App\Http\Requests\Ahead\PlanRequest;
use App\Http\Requests\Ahead\PlanTermsRequest;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Strip\ReadPrices;
use App\Support\CurrentWorkshop;
use App\Text\Speaker;
use App\Wear\ReadWear;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\WorkshopPlan;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** The weeks ahead: planned, moved by hand, followed. */
final class AheadController extends Controller
{
    public function __construct(private readonly CurrentWorkshop $current, private readonly ReadPlan $readPlan, private readonly ReadBook $readBook, private readonly Speaker $speaker, private readonly ReadWear $readWear) {}

    public function index(Request $request, ReadShopping $readShopping, ReadPrices $readPrices): Response
    {
        $weeks = min(ReadPlan::MOST_WEEKS, max(2, $request->integer('weeks', ReadPlan::WEEKS)));
        $workshop = $this->current->workshop();
        $plan = ($this->readPlan)($workshop, $weeks);
        $props = $this->props($plan);

        return Inertia::render('Ahead/Ahead', ['shopping' => $props->shopping($readShopping($workshop, $plan), $readPrices($workshop))] + $props->page($workshop, $this->readPlan->rides($workshop), $weeks));
    }

    /** What comes of pot days by hand; nothing is kept. */
    public function try(PlanRequest $request): JsonResponse
    {
        $plan = ($this->readPlan)($this->current->workshop(), $request->integer('weeks', ReadPlan::WEEKS));
        $days = $plan->days($request->dates());

        return response()->json($this->props($plan)->plan($plan->along($days, $request->boolean('bottle')), $days, $request->boolean('bottle')));
    }

    public function keep(PlanRequest $request, KeepPlan $keepPlan): RedirectResponse
    {
        return $this->done($keepPlan($request->context(), [
            SettingKey::PlanByHand->value => $request->dates() ?: null,
            SettingKey::PlanBottle->value => (int) $request->boolean('bottle'),
            SettingKey::PlanFollowed->value => 1,
        ]));
    }

    /** Back to the best days, with some pinned and some forbidden. */
    public function planAgain(PlanRequest $request, KeepPlan $keepPlan): RedirectResponse
    {
        return $this->done($keepPlan($request->context(), [
            SettingKey::PlanByHand->value => null,
            SettingKey::PlanBottle->value => null,
            SettingKey::PlanFollowed->value => 1,
            SettingKey::PlanPinned->value => $request->dates('pinned') ?: null,
            SettingKey::PlanForbidden->value => $request->dates('forbidden') ?: null,
        ]));
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

        return $this->done($planRide(
            $request->context(),
            $request->bikeIfNamed(),
            $from,
            $request->filled('until') ? $request->string('until')->toString() : $from,
            $request->plannedKm(),
            $request->condition(),
            $request->string('name')->trim()->toString(),
            $moments->now(),
        ));
    }

    private function props(WorkshopPlan $plan): AheadProps
    {
        $workshop = $this->current->workshop();

        return new AheadProps(($this->readBook)($workshop), $this->speaker->voice(), $plan, ($this->readWear)($workshop));
    }
}
