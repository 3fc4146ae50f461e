<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chains;

use App\Http\Controllers\Controller;
use App\Http\Requests\Chains\SizeRequest;
use App\Text\SizeWords;
use Dripel\Core\Chain\ChainLength;
use Dripel\Core\Chain\ChainLoop;
use Dripel\Core\Chain\ChainMatch;
use Illuminate\Http\JsonResponse;

/** Sizes a new chain; nothing is stored. */
final class SizeController extends Controller
{
    public function __invoke(SizeRequest $request, SizeWords $words): JsonResponse
    {
        if ($request->copies()) {
            $match = (new ChainMatch)($request->match($request->integer('old_pitches')));

            return response()->json(['pitches' => $match->pitches, 'cut' => $words->cut($match), 'lines' => $words->copied($match), 'loop' => null]);
        }
        $in = $request->length();
        $length = (new ChainLength)($in);
        $match = (new ChainMatch)($request->match($length->pitches, $request->newJoint()));

        return response()->json([
            'pitches' => $length->pitches,
            'cut' => $words->cut($match),
            'lines' => $words->computed($in, $length, $match),
            'loop' => ChainLoop::of($in)->toArray(),
        ]);
    }
}
