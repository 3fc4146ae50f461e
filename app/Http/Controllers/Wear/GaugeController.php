<?php

declare(strict_types=1);

namespace App\Http\Controllers\Wear;

use App\Actions\Wear\AnswerAdvice;
use App\Actions\Wear\AnswerFactor;
use App\Actions\Wear\KeepInstrument;
use App\Actions\Workshop\ChangeSettings;
use App\Actions\Workshop\RemoveUnused;
use App\Http\Controllers\Controller;
use App\Http\Props\GaugeProps;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\Wear\AdviceRequest;
use App\Http\Requests\Wear\ExpectedRequest;
use App\Http\Requests\Wear\FactorRequest;
use App\Http\Requests\Wear\InstrumentRequest;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Instrument;
use App\Support\CacheMemo;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use App\Wear\ReadWear;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** Measuring: the wear of every bike, the instruments, what is expected of a chain, and the advice on intervals. */
final class GaugeController extends Controller
{
    public function index(
        CurrentWorkshop $current,
        ReadBook $readBook,
        ReadWear $readWear,
        CacheMemo $memo,
        Translators $translators,
    ): Response {
        $workshop = $current->workshop();

        return Inertia::render(
            'Wear/Gauge',
            (new GaugeProps($readBook($workshop), $translators->current(), $readWear($workshop), $memo->in($workshop)))->all($workshop),
        );
    }

    public function factor(FactorRequest $request, AnswerFactor $answer): RedirectResponse
    {
        return $this->done($answer($request->context(), $request->condition(), $request->boolean('accept'), $request->boolean('past')));
    }

    public function storeInstrument(InstrumentRequest $request, KeepInstrument $keep): RedirectResponse
    {
        return $this->done($keep($request->context(), null, $request->string('name')->trim()->toString(), $request->instrument()));
    }

    public function destroyInstrument(ActionIdRequest $request, Instrument $instrument, RemoveUnused $remove): RedirectResponse
    {
        return $this->done($remove($request->context(), $instrument));
    }

    public function updateInstrument(InstrumentRequest $request, Instrument $instrument, KeepInstrument $keep): RedirectResponse
    {
        return $this->done(
            $keep(
                $request->context(),
                $instrument,
                $request->string('name')->trim()->toString(),
                $request->instrument(),
                $request->boolean('gone'),
            ),
        );
    }

    public function expect(ExpectedRequest $request, ChangeSettings $changeSettings): RedirectResponse
    {
        return $this->done(
            $changeSettings($request->context(), null, [SettingKey::LifePoints->value => $request->curve()?->pairs()], false),
        );
    }

    public function advice(AdviceRequest $request, Bike $bike, AnswerAdvice $answer): RedirectResponse
    {
        return $this->done($answer($request->context(), $bike, $request->boolean('accept')));
    }
}
