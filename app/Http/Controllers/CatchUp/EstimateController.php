<?php

declare(strict_types=1);

namespace App\Http\Controllers\CatchUp;

use App\Actions\CatchUp\EstimateDistance;
use App\Http\Controllers\Controller;
use App\Http\Requests\CatchUp\EstimateRequest;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Estimate;
use App\Support\Find;
use App\Text\Translators;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** Days that nobody logged one by one. */
final class EstimateController extends Controller
{
    public function store(EstimateRequest $request, Bike $bike, EstimateDistance $estimateDistance, ReadBook $readBook): RedirectResponse
    {
        return $this->done($estimateDistance($request->context(), $request->estimate($bike, $readBook($request->workshop()))));
    }

    public function update(
        EstimateRequest $request,
        Estimate $estimate,
        EstimateDistance $estimateDistance,
        ReadBook $readBook,
        Find $find,
    ): RedirectResponse {
        return $this->done(
            $estimateDistance->change(
                $request->context(),
                $estimate,
                $request->estimate($find->bike($estimate->bike_id), $readBook($request->workshop())),
            ),
        );
    }

    /** How it would be spread, in a sentence. */
    public function spread(EstimateRequest $request, Bike $bike, ReadBook $readBook, Translators $translators): JsonResponse
    {
        $book = $readBook($request->workshop());
        $estimate = $request->estimate($bike, $book);

        return response()->json(['text' => $translators->catchUp()->spread($estimate, $book->shareOf($estimate))]);
    }
}
