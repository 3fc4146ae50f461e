<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shed;

use App\Http\Controllers\Controller;
use App\Http\Props\ReadShed;
use App\People\SignIns;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
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
    /** But for what this browser has been told already while Dripel was closed. */
    public function reminders(Request $request, CurrentWorkshop $current, ReadShed $readShed, SignIns $signIns): JsonResponse
    {
        $told = $signIns->here($request)->pushSubscription->told ?? [];

        return response()->json(
            array_values(array_filter($readShed($current->workshop())->reminders(), fn(array $one) => !in_array($one['tag'], $told, true))),
        );
    }
}
