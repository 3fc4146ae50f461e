<?php

declare(strict_types=1);

namespace App\Http\Controllers\Devices;

use App\Devices\Connect;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Jobs\RunSimulatedGauge;
use App\Models\Chain;
use App\Models\GaugeValue;
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

    /** What came since; without `since` only where one is now. */
    public function values(Request $request, CurrentWorkshop $current): JsonResponse
    {
        $since = $request->validate(['since' => ['nullable', 'integer', 'min:0']])['since'] ?? null;
        $query = GaugeValue::query()->in($current->workshop());
        $values = $since === null ? collect() : (clone $query)->where('id', '>', (int) $since)->orderBy('id')->limit(12)->get();

        return response()->json([
            'values' => $values->map(fn(GaugeValue $value) => (string) $value->value_pct)->values(),
            'last' => $values->last()->id ?? (int) ($since ?? $query->max('id') ?? 0),
        ]);
    }

    public function simulate(CurrentWorkshop $current, Chain $chain, Connect $connect): JsonResponse
    {
        $current->workshop()->demo || throw new NotPossible('gauge', 'only_demo_gauge');
        [$device, $token] = $connect->gauge($current->workshop(), 'Simulated gauge', ['chain' => $chain->id]);
        RunSimulatedGauge::dispatch($device->id, $token);

        return response()->json(['spots' => RunSimulatedGauge::SPOTS]);
    }
}
