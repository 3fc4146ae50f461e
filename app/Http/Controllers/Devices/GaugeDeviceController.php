<?php

declare(strict_types=1);

namespace App\Http\Controllers\Devices;

use App\Devices\Connect;
use App\Devices\ReadGaugeValues;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Jobs\RunSimulatedGauge;
use App\Models\Chain;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Digital gauges: connected with a token that is shown once, asked for what they sent, or simulated in the demo. */
final class GaugeDeviceController extends Controller
{
    public function store(Request $request, CurrentWorkshop $current, Connect $connect): JsonResponse
    {
        $name = $request->validate(['name' => ['required', 'string', 'max:40']])['name'];
        [$device, $token] = $connect->gauge($current->workshop(), $name);

        return response()->json(['id' => $device->id, 'token' => $token, 'address' => url('/api/v1/gauges/values')]);
    }

    public function values(Request $request, CurrentWorkshop $current, ReadGaugeValues $values): JsonResponse
    {
        $since = $request->validate(['since' => ['nullable', 'integer', 'min:0']])['since'] ?? null;

        return response()->json($values($current->workshop(), $since === null ? null : (int) $since));
    }

    public function simulate(CurrentWorkshop $current, Chain $chain, Connect $connect): JsonResponse
    {
        $current->workshop()->demo || throw new NotPossible('gauge', 'only_demo_gauge');
        [$device, $token] = $connect->gauge($current->workshop(), 'Simulated gauge', ['chain' => $chain->id]);
        RunSimulatedGauge::dispatch($device->id, $token);

        return response()->json(['spots' => RunSimulatedGauge::SPOTS]);
    }
}
