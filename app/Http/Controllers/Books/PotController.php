<?php

declare(strict_types=1);

namespace App\Http\Controllers\Books;

use App\Actions\Pot\AddPot;
use App\Actions\Pot\HeatPot;
use App\Actions\Pot\TendBath;
use App\Http\Controllers\Controller;
use App\Http\Requests\Books\BathRequest;
use App\Http\Requests\Books\HeatRequest;
use App\Http\Requests\Books\PotRequest;
use App\Models\Pot;
use App\Text\PotWords;
use Dripel\Core\Pot\HeatPoint;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** Pots and the wax in them. */
final class PotController extends Controller
{
    public function store(PotRequest $request, AddPot $addPot): RedirectResponse
    {
        return $this->done($addPot($request->context(), $request->settings()));
    }

    public function tend(BathRequest $request, Pot $pot, TendBath $tendBath): RedirectResponse
    {
        return $this->done($tendBath($request->context(), $pot, $request->event(), $request->moment()));
    }

    public function heat(HeatRequest $request, Pot $pot, HeatPot $heatPot): JsonResponse
    {
        [$bath, $in, $heat] = $heatPot($request->workshop(), $pot, $request->string('power')->toString(), $request->celsius('start'), $request->celsius('target'));
        $by = $request->filled('by') ? $request->string('by')->toString() : null;

        return response()->json((new PotWords($request->voice()))->heat($bath, $in, $heat, $by) + [
            'curve' => array_map(fn(HeatPoint $point) => [$point->min, $point->tempC], $heat->curve),
            'limit' => $bath->limitC,
            'melts' => [$in->wax->meltFromC, $in->wax->meltToC],
        ]);
    }
}
