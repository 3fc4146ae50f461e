<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Controllers\Controller;
use App\Models\Device;
use App\Ride\Inbox;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Where bike computers send their rides: docs/devices.md. */
final class RideFileController extends Controller
{
    public function store(Request $request, Inbox $inbox): JsonResponse
    {
        $device = Auth::guard('sanctum')->user();
        ($device instanceof Device && $device->tokenCan(Device::SENDS_RIDES)) || abort(403, (string) __('errors.rides.ability'));
        $sequence = $request->query('sequence');
        (is_string($sequence) && ctype_digit($sequence) && strlen($sequence) < 16) || abort(422, (string) __('errors.rides.sequence'));
        $new = $inbox->take(
            $device,
            (int) $sequence,
            $request->string('name', "ride-{$sequence}.gpx")->toString(),
            $request->getContent(true),
        );

        return response()->json(['taken' => $new ? 1 : 0, 'known' => $new ? 0 : 1]);
    }
}
