<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Devices\TakeTemperatures;
use App\Http\Controllers\Controller;
use App\Models\Device;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Where probes send temperatures: docs/devices.md. */
final class TemperatureController extends Controller
{
    /** One request holds at most so many; a probe that was away for long sends several. */
    private const MOST = 1000;

    public function store(Request $request, int $pot, TakeTemperatures $take): JsonResponse
    {
        $device = Auth::guard('sanctum')->user();
        ($device instanceof Device && $device->tokenCan(Device::SENDS_TEMPERATURES)) || abort(403, (string) __('errors.probe.ability'));
        $device->pot_id === $pot || abort(403, (string) __('errors.probe.pot'));
        $readings = $request->json('readings');
        (is_array($readings) && array_is_list($readings) && $readings !== [] && count($readings) <= self::MOST) ||
            abort(422, (string) __('errors.probe.readings', ['most' => self::MOST]));
        $answer = $take($device, $readings, $request->json('sent_at'));

        return response()->json($answer, $answer['taken'] + $answer['known'] === 0 ? 422 : 200);
    }
}
