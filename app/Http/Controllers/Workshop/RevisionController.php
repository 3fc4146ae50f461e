<?php

declare(strict_types=1);

namespace App\Http\Controllers\Workshop;

use App\Http\Controllers\Controller;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;

/** Pages ask now and then whether something changed elsewhere. */
final class RevisionController extends Controller
{
    public function __invoke(CurrentWorkshop $current): JsonResponse
    {
        return response()->json(['revision' => $current->workshop()->revision]);
    }
}
