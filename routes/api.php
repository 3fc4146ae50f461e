<?php

declare(strict_types=1);

use App\Http\Controllers\Api\GaugeValueController;
use App\Http\Controllers\Api\ReadController;
use App\Http\Controllers\Api\RideFileController;
use App\Http\Controllers\Api\TemperatureController;
use Illuminate\Support\Facades\Route;

// For devices only; each has a token of its own, for one thing.
Route::middleware(['throttle:devices', 'auth:sanctum'])->group(function (): void {
    Route::get('/shed', [ReadController::class, 'shed']);
    Route::get('/next', [ReadController::class, 'next']);
    Route::get('/chains', [ReadController::class, 'chains']);
    Route::get('/outlook', [ReadController::class, 'outlook']);
    Route::post('/rides', [RideFileController::class, 'store']);
    Route::post('/gauges/values', [GaugeValueController::class, 'store']);
    Route::post('/pots/{pot}/temperatures', [TemperatureController::class, 'store'])->whereNumber('pot');
});
