<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\SizeRequest;
use App\Text\SizeWords;
use Dripel\Core\Chain\ChainLength;
use Dripel\Core\Chain\ChainLoop;
use Dripel\Core\Chain\ChainMatch;
use Illuminate\Http\JsonResponse;

/**
 * Sizes a new chain; nothing is stored.
 *
 * @phpstan-type Loop array{chainstay: float, front: float, rear: float, rearX: float, rearY: float, frontX: float, frontY: float}
 * @phpstan-type SizeAnswer array{pitches: int, cut: string, lines: list<string>, loop: Loop|null}
 */
final class SizeController extends Controller
{
    public function __invoke(SizeRequest $request, SizeWords $words): JsonResponse
    {
        if ($request->copies()) {
            $match = (new ChainMatch())($request->match($request->integer('old_pitches')));

            return $this->answer($match->pitches, $words->cut($match), $words->copied($match), null);
        }
        $in = $request->length();
        $length = (new ChainLength())($in);
        $match = (new ChainMatch())($request->match($length->pitches, $request->newJoint()));

        return $this->answer($length->pitches, $words->cut($match), $words->computed($in, $length, $match), ChainLoop::of($in)->toArray());
    }

    /**
     * @param list<string> $lines
     * @param Loop|null $loop
     */
    private function answer(int $pitches, string $cut, array $lines, ?array $loop): JsonResponse
    {
        /** @var SizeAnswer $answer */
        $answer = ['pitches' => $pitches, 'cut' => $cut, 'lines' => $lines, 'loop' => $loop];

        return response()->json($answer);
    }
}
