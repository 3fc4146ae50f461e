<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shed;

use App\Http\Controllers\Controller;
use App\Http\Props\ReadShed;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The Shed: the rails, what to do next, the pot. */
final class ShedController extends Controller
{
    public function index(CurrentWorkshop $current, ReadShed $readShed): Response
    {
        return Inertia::render('Shed/Shed', $readShed($current->workshop())->all());
    }

    /** What this browser may remind of, if it was allowed to. */
    public function reminders(CurrentWorkshop $current, ReadShed $readShed): JsonResponse
    {
        return response()->json($readShed($current->workshop())->reminders());
    }
}
