<?php

declare(strict_types=1);

namespace App\Http\Controllers\Strip;

use App\Actions\Strip\PlanStrip;
use App\Actions\Strip\StartStrip;
use App\Http\Controllers\Controller;
use App\Http\Props\StripProps;
use App\Http\Requests\Strip\StripRequest;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** Plans a strip and begins it. */
final class StripPlanController extends Controller
{
    public function create(Request $request, Find $find, CurrentWorkshop $current, StripProps $props): Response
    {
        return Inertia::render(
            'Strip/Plan',
            $props->create($current->workshop(), array_map($find->chain(...), array_values((array) $request->query('chains', [])))),
        );
    }

    public function plan(StripRequest $request, PlanStrip $planStrip, StripProps $props): JsonResponse
    {
        $choices = $request->choices();

        return response()->json($props->plan($request->workshop(), $choices, $planStrip($request->workshop(), $choices)));
    }

    public function store(StripRequest $request, StartStrip $startStrip): RedirectResponse
    {
        return redirect()->route('job', $startStrip($request->context(), $request->choices(), $request->agreed())->id);
    }
}
