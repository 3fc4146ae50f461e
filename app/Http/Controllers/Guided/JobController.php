<?php

declare(strict_types=1);

namespace App\Http\Controllers\Guided;

use App\Actions\Guided\GiveUpJob;
use App\Actions\Guided\TapJob;
use App\Http\Controllers\Controller;
use App\Http\Props\JobProps;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\Guided\TapsRequest;
use App\Models\GuidedJob;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** A guided job while it runs, on one device or several. */
final class JobController extends Controller
{
    public function show(GuidedJob $job, JobProps $props): Response
    {
        return Inertia::render('Guided/Job', ['job' => $props->of($job)]);
    }

    public function state(GuidedJob $job, JobProps $props): JsonResponse
    {
        return response()->json($props->state($job));
    }

    public function tap(TapsRequest $request, GuidedJob $job, TapJob $tapJob, CurrentWorkshop $current, JobProps $props): JsonResponse
    {
        return response()->json($props->state($tapJob($job, $current->user(), $request->taps())));
    }

    public function giveUp(ActionIdRequest $request, GuidedJob $job, GiveUpJob $giveUp): RedirectResponse
    {
        $giveUp($request->context(), $job);

        return redirect()->route('job', $job->id);
    }
}
