<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shed;

use App\Http\Controllers\Controller;
use App\Http\Props\ReadShed;
use App\People\ReadWhose;
use App\People\SignIns;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** The Shed: the rails, what to do next, the pot. */
final class ShedController extends Controller
{
    public function index(CurrentWorkshop $current, ReadShed $readShed, ReadWhose $readWhose): Response
    {
        return Inertia::render('Shed/Shed', $readShed($current->workshop(), whose: $readWhose())->all());
    }

    /** What this browser may remind of, if it was allowed to: but for what it has been told already while Dripel was closed. */
    public function reminders(
        Request $request,
        CurrentWorkshop $current,
        ReadShed $readShed,
        ReadWhose $readWhose,
        SignIns $signIns,
    ): JsonResponse {
        $told = $signIns->here($request)->pushSubscription->told ?? [];
        $shed = $readShed($current->workshop(), whose: $readWhose->told($current->workshop(), $current->user()));

        return response()->json(array_values(array_filter($shed->reminders(), fn(array $one) => !in_array($one['tag'], $told, true))));
    }
}
