<?php

declare(strict_types=1);

namespace App\Http\Controllers\Devices;

use App\Devices\Connect;
use App\Devices\Simulate;
use App\Http\Controllers\Controller;
use App\Models\Device;
use App\Models\GuidedJob;
use App\Models\Pot;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Probes of a pot: connected with a token that is shown once, disconnected, or simulated in the demo. */
final class ProbeController extends Controller
{
    public function store(Request $request, Pot $pot, CurrentWorkshop $current, Connect $connect): JsonResponse
    {
        $name = $request->validate(['name' => ['required', 'string', 'max:40']])['name'];
        [$device, $token] = $connect->probe($current->workshop(), $pot, $name);

        return response()->json(['id' => $device->id, 'token' => $token, 'address' => url("/api/v1/pots/{$pot->id}/temperatures")]);
    }

    public function destroy(Device $device, Connect $connect): RedirectResponse
    {
        $connect->disconnect($device);

        return back();
    }

    public function simulate(Request $request, GuidedJob $job, CurrentWorkshop $current, Simulate $simulate): JsonResponse
    {
        $speed = (float) $request->validate(['speed' => ['required', 'numeric', 'between:1,120']])['speed'];

        return response()->json(['device' => $simulate($current->workshop(), $job, $speed)->id]);
    }
}
