<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\AnswerMargin;
use App\Actions\Pot\AnswerPotFit;
use App\Cost\ReadPrices;
use App\Http\Controllers\Controller;
use App\Http\Props\HowRightProps;
use App\Http\Requests\Wear\AdviceRequest;
use App\Logbook\ReadBook;
use App\Models\Pot;
use App\Plan\ReadHowRight;
use App\Pot\ReadBaths;
use App\Pot\ReadPotProposals;
use App\Support\AppClock;
use App\Support\CacheMemo;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Interval\LearnedConditions;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** How Dripel's own promises turned out, and what it would change because of it. */
final class HowRightController extends Controller
{
    public function index(
        CurrentWorkshop $current,
        ReadHowRight $readHowRight,
        ReadPrices $readPrices,
        ReadBaths $readBaths,
        ReadPotProposals $readProposals,
        ReadBook $readBook,
        CacheMemo $memo,
        AppClock $clock,
        Translators $translators,
    ): Response {
        $workshop = $current->workshop();
        $props = new HowRightProps($translators->current());

        return Inertia::render('Plan/HowRight', [
            // Once a week it takes some seconds: the page is there before.
            'how' => Inertia::defer(
                fn() => $props->all(
                    $readHowRight($workshop),
                    $readHowRight->margin($workshop),
                    $readProposals($workshop),
                    LearnedConditions::of($readBook($workshop), $clock->unixS(), $memo->in($workshop))?->offers() ?? [],
                    $readHowRight->recorded($workshop),
                ),
            ),
            'replay' => Inertia::defer(
                fn() => $props->replay(
                    $readHowRight->replay($workshop),
                    $readPrices($workshop),
                    DipPickup::of($readBaths($workshop))->usual(),
                ),
                'replay',
            ),
        ]);
    }

    public function margin(AdviceRequest $request, AnswerMargin $answer): RedirectResponse
    {
        return $this->done($answer($request->context(), $request->boolean('accept')));
    }

    public function potFit(AdviceRequest $request, Pot $pot, AnswerPotFit $answer): RedirectResponse
    {
        return $this->done($answer($request->context(), $pot, $request->boolean('accept')));
    }
}
