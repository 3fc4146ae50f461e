<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Actions\Fitting\CorrectFitting;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\CorrectionRequest;
use App\Models\Bike;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** The tag says another chain than Dripel does. */
final class CorrectionController extends Controller
{
    public function store(CorrectionRequest $request, Bike $bike, CorrectFitting $correctFitting): RedirectResponse|JsonResponse
    {
        $chain = $request->chain() ?? throw new NotPossible('chain_id', 'already_on');

        return $this->doOrPreview(
            $request,
            fn() => $correctFitting($request->context(), $bike, $chain, $request->moment(), $request->boolean('exchange')),
        );
    }
}
