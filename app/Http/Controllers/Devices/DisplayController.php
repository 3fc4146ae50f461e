<?php

declare(strict_types=1);

namespace App\Http\Controllers\Devices;

use App\Devices\Connect;
use App\Http\Controllers\Controller;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Displays and scripts: connected with a token that is shown once and can read, nothing else. */
final class DisplayController extends Controller
{
    public function store(Request $request, CurrentWorkshop $current, Connect $connect): JsonResponse
    {
        $name = $request->validate(['name' => ['required', 'string', 'max:40']])['name'];
        [$device, $token] = $connect->display($current->workshop(), $name);

        return response()->json(['id' => $device->id, 'token' => $token, 'address' => url('/api/v1/next')]);
    }
}
