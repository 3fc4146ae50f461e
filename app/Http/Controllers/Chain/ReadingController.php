<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Actions\Chain\RecordReading;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\ReadingRequest;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Text\MeaningWords;
use App\Text\Translators;
use App\Wear\ReadWear;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

final class ReadingController extends Controller
{
    public function store(ReadingRequest $request, Chain $chain, RecordReading $recordReading): RedirectResponse
    {
        $reading = $request->reading();

        return $this->done(
            $recordReading($request->context(), $chain, $reading->input(), $request->moment(), $reading->asks(), $reading->instrumentId()),
        );
    }

    /** What it would mean, before it is kept. */
    public function meaning(
        ReadingRequest $request,
        Chain $chain,
        ReadBook $readBook,
        ReadWear $readWear,
        Translators $translators,
    ): JsonResponse {
        $atS = $request->moment()->unixS;
        $props = new MeaningWords($readBook($request->workshop()), $translators->current(), $readWear($request->workshop(), $atS), $atS);

        return response()->json($props->of($chain->id, $request->reading()->input()));
    }
}
