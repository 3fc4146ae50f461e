<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Actions\Chain\RetireChain;
use App\Http\Controllers\Controller;
use App\Http\Props\RetireProps;
use App\Http\Requests\Chain\RetirementRequest;
use App\Models\Chain;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

final class RetirementController extends Controller
{
    /** What it did in its life, and what would be left. */
    public function show(Chain $chain, CurrentWorkshop $current, RetireProps $props): JsonResponse
    {
        return response()->json($props->of($current->workshop(), $chain->id));
    }

    public function store(RetirementRequest $request, Chain $chain, RetireChain $retireChain): RedirectResponse
    {
        return $this->done($retireChain($request->context(), $chain, $request->moment(), $request->seen()));
    }
}
