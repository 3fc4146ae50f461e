<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Devices\DisplayDevice;
use App\Http\Controllers\Controller;
use App\Http\Props\ReadDisplay;
use Illuminate\Http\JsonResponse;

/** What a display or a script reads: docs/api/openapi.json. */
final class ReadController extends Controller
{
    public function shed(DisplayDevice $device, ReadDisplay $read): JsonResponse
    {
        return response()->json($read($device->workshop())->shed());
    }

    public function next(DisplayDevice $device, ReadDisplay $read): JsonResponse
    {
        return response()->json($read($device->workshop())->next());
    }

    public function chains(DisplayDevice $device, ReadDisplay $read): JsonResponse
    {
        return response()->json($read($device->workshop())->chains());
    }

    public function outlook(DisplayDevice $device, ReadDisplay $read): JsonResponse
    {
        return response()->json($read($device->workshop())->outlook());
    }
}
