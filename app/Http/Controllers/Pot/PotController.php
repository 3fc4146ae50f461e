<?php

declare(strict_types=1);

namespace App\Http\Controllers\Pot;

use App\Actions\Pot\CalibratePot;
use App\Actions\Pot\HeatPot;
use App\Actions\Pot\KeepPot;
use App\Actions\Pot\TendBath;
use App\Actions\Workshop\RemoveUnused;
use App\Http\Controllers\Controller;
use App\Http\Props\PotPageProps;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\Pot\BathRequest;
use App\Http\Requests\Pot\CalibrateRequest;
use App\Http\Requests\Pot\HeatRequest;
use App\Http\Requests\Pot\PotRequest;
use App\Http\Requests\Pot\PowerRequest;
use App\Models\Pot;
use App\Support\CurrentWorkshop;
use App\Text\PotWords;
use Dripel\Core\Pot\PotCalibrateResult;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The home of the main job; pots and the wax in them. */
final class PotController extends Controller
{
    public function index(CurrentWorkshop $current, PotPageProps $props): Response
    {
        return Inertia::render('Pot/Pot', $props->all($current->workshop()));
    }

    public function store(PotRequest $request, KeepPot $keepPot): RedirectResponse
    {
        return $this->done($keepPot($request->context(), null, $request->settings()));
    }

    public function update(PotRequest $request, Pot $pot, KeepPot $keepPot): RedirectResponse
    {
        return $this->done($keepPot($request->context(), $pot, $request->settings()));
    }

    public function power(PowerRequest $request, Pot $pot, KeepPot $keepPot): RedirectResponse
    {
        return $this->done($keepPot($request->context(), $pot, $request->settings()));
    }

    public function destroy(ActionIdRequest $request, Pot $pot, RemoveUnused $remove): RedirectResponse
    {
        return $this->done($remove($request->context(), $pot));
    }

    public function tend(BathRequest $request, Pot $pot, TendBath $tendBath): RedirectResponse
    {
        return $this->done($tendBath($request->context(), $pot, $request->event(), $request->moment()));
    }

    public function fit(CalibrateRequest $request, Pot $pot, CalibratePot $calibratePot): JsonResponse
    {
        $found = $this->found($request, $pot, $calibratePot);

        return response()->json(['text' => $found === null ? '' : (new PotWords($request->translator()))->fitted($found)]);
    }

    public function calibrate(CalibrateRequest $request, Pot $pot, CalibratePot $calibratePot): RedirectResponse
    {
        return $this->done($calibratePot($request->context(), $pot, $this->found($request, $pot, $calibratePot)));
    }

    private function found(CalibrateRequest $request, Pot $pot, CalibratePot $calibratePot): ?PotCalibrateResult
    {
        $job = $request->job();

        return match (true) {
            $request->boolean('forget') => null,
            $job !== null => $calibratePot->fromPotDay($pot, $job),
            default => $calibratePot->fromTyped(
                $request->workshop(),
                $pot,
                $request->string('power')->toString(),
                $request->roomC(),
                $request->observed(),
            ),
        };
    }

    public function heat(HeatRequest $request, Pot $pot, HeatPot $heatPot): JsonResponse
    {
        [$bath, $in, $heat, $known] = $heatPot(
            $request->workshop(),
            $pot,
            $request->string('power')->toString(),
            $request->celsius('start'),
            $request->celsius('target'),
        );
        $by = $request->filled('by') ? $request->string('by')->toString() : null;

        return response()->json((new PotWords($request->translator()))->heat($bath, $in, $heat, $known, $by));
    }
}
