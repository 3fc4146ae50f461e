<?php

declare(strict_types=1);

namespace App\Http\Controllers\Arriving;

use App\Actions\Arriving\CorrectOpening;
use App\Http\Controllers\Controller;
use App\Http\Requests\Arriving\OpeningRequest;
use App\Models\Chain;
use App\Models\Opening;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

final class OpeningController extends Controller
{
    public function store(OpeningRequest $request, Chain $chain, CorrectOpening $correctOpening): RedirectResponse|JsonResponse
    {
        return $this->doOrPreview(
            $request,
            fn() => $correctOpening->add($request->context(), $chain, $request->kmIfNamed('km'), $request->wax(), $request->sinceWaxKm()),
        );
    }

    public function update(OpeningRequest $request, Opening $opening, CorrectOpening $correctOpening): RedirectResponse|JsonResponse
    {
        return $this->doOrPreview(
            $request,
            fn() => $correctOpening(
                $request->context(),
                $opening,
                $request->kmIfNamed('km', $opening->km),
                $request->wax(),
                $request->sinceWaxKm($opening),
                $request->filled('closings') ? $request->integer('closings') : null,
                $request->asOf($opening),
            ),
        );
    }
}
