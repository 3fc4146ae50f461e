<?php

declare(strict_types=1);

namespace App\Http\Controllers\PotDay;

use App\Actions\PotDay\CorrectPotDay;
use App\Actions\PotDay\PlanPotDay;
use App\Actions\PotDay\StartPotDay;
use App\Http\Controllers\Controller;
use App\Http\Props\PotDayProps;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\PotDay\PotDayRequest;
use App\Http\Requests\PotDay\RecordRequest;
use App\Models\GuidedJob;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** Plans a pot day and begins it, now or later. */
final class PotDayController extends Controller
{
    public function create(Request $request, Find $find, CurrentWorkshop $current, PotDayProps $props): Response
    {
        $chosen = array_map(fn(mixed $id) => $find->chain($id)->id, array_values((array) $request->query('chains', [])));

        return Inertia::render('PotDay/Plan', $props->create($current->workshop(), $chosen));
    }

    public function plan(PotDayRequest $request, PlanPotDay $planPotDay, PotDayProps $props): JsonResponse
    {
        $choices = $request->choices();

        return response()->json(
            $props->plan($request->workshop(), $planPotDay($request->workshop(), $choices), $choices->potId, $choices->byS),
        );
    }

    public function store(PotDayRequest $request, StartPotDay $startPotDay): RedirectResponse
    {
        return redirect()->route('job', $startPotDay($request->context(), $request->choices(), $request->boolean('later'))->id);
    }

    public function correct(RecordRequest $request, GuidedJob $job, CorrectPotDay $correctPotDay): RedirectResponse
    {
        return $this->done($correctPotDay($request->context(), $job, $request->dips()));
    }

    public function begin(ActionIdRequest $request, GuidedJob $job, StartPotDay $startPotDay): RedirectResponse
    {
        return redirect()->route('job', $startPotDay->begin($job)->id);
    }
}
