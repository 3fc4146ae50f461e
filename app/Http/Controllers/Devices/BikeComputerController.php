<?php

declare(strict_types=1);

namespace App\Http\Controllers\Devices;

use App\Devices\Connect;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Jobs\RunSimulatedBikeComputer;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Bike computers: connected with a token that is shown once, or simulated in the demo. */
final class BikeComputerController extends Controller
{
    public function store(Request $request, CurrentWorkshop $current, Connect $connect): JsonResponse
    {
        $name = $request->validate(['name' => ['required', 'string', 'max:40']])['name'];
        [$device, $token] = $connect->bikeComputer($current->workshop(), $name);

        return response()->json(['id' => $device->id, 'token' => $token, 'address' => url('/api/v1/rides?sequence=1&name=ride.gpx')]);
    }

    public function simulate(CurrentWorkshop $current, Connect $connect): JsonResponse
    {
        $current->workshop()->demo || throw new NotPossible('rides', 'only_demo_rides');
        [$device, $token] = $connect->bikeComputer($current->workshop(), 'Simulated bike computer');
        RunSimulatedBikeComputer::dispatch($device->id, $token);

        return response()->json(['rides' => RunSimulatedBikeComputer::RIDES]);
    }
}
