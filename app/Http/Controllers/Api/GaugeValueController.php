<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Devices\TakeGaugeValues;
use App\Http\Controllers\Controller;
use App\Models\Device;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Where digital gauges send what they show: docs/devices.md. */
final class GaugeValueController extends Controller
{
    private const MOST = 100;

    public function store(Request $request, TakeGaugeValues $take): JsonResponse
    {
        $device = Auth::guard('sanctum')->user();
        ($device instanceof Device && $device->tokenCan(Device::SENDS_VALUES)) || abort(403, (string) __('errors.gauge.ability'));
        $readings = $request->json('readings');
        (is_array($readings) && array_is_list($readings) && $readings !== [] && count($readings) <= self::MOST) ||
            abort(422, (string) __('errors.gauge.readings', ['most' => self::MOST]));
        $answer = $take($device, $readings);

        return response()->json($answer, $answer['taken'] + $answer['known'] === 0 ? 422 : 200);
    }
}
