<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chain;

use App\Actions\Chain\AddChain;
use App\Actions\Workshop\ChangeSettings;
use App\Guided\OpenJobs;
use App\Http\Controllers\Controller;
use App\Http\Props\ChainPageProps;
use App\Http\Props\PotProps;
use App\Http\Props\RetireProps;
use App\Http\Requests\Chain\ChainRequest;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Plan\ReadPlan;
use App\Pot\ReadBaths;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use App\Text\Translators;
use App\Wear\ReadWear;
use Dripel\Core\Chain\Joint;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\Load;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class ChainController extends Controller
{
    public function show(
        Request $request,
        Chain $chain,
        CurrentWorkshop $current,
        ReadBook $readBook,
        Translators $translators,
        ReadWear $readWear,
        OpenJobs $openJobs,
        ReadBaths $readBaths,
        RetireProps $retire,
        ReadPlan $readPlan,
    ): Response {
        $workshop = $current->workshop();
        $props = new ChainPageProps($readBook($workshop), $translators->current(), $readWear($workshop));
        return Inertia::render(
            'Chain/Chain',
            $props->show(
                $chain->id,
                $request->boolean('all'),
                $openJobs->byChain($workshop)[$chain->id] ?? null,
                $retire->story($workshop, $chain->id),
                array_values(array_map((new PotProps($translators->current()))->of(...), $readBaths($workshop))),
                fn(int $bikeId) => $readPlan->rail($workshop, $bikeId),
            ) + ['forecast' => Inertia::defer(fn() => $props->forecast($chain->id))],
        );
    }

    /** What the code on a chain's tag opens. */
    public function tag(
        Chain $chain,
        CurrentWorkshop $current,
        ReadBook $readBook,
        Translators $translators,
        ReadWear $readWear,
        ReadBaths $readBaths,
    ): Response {
        $workshop = $current->workshop();

        return Inertia::render(
            'Chain/Tag',
            (new ChainPageProps($readBook($workshop), $translators->current(), $readWear($workshop)))->tag(
                $chain->id,
                array_values(array_map((new PotProps($translators->current()))->of(...), $readBaths($workshop))),
            ),
        );
    }

    public function create(
        Request $request,
        Find $find,
        CurrentWorkshop $current,
        ReadBook $readBook,
        Translators $translators,
        ReadWear $readWear,
    ): Response {
        $workshop = $current->workshop();

        return Inertia::render(
            'Chain/NewChain',
            (new ChainPageProps($readBook($workshop), $translators->current(), $readWear($workshop)))->create(
                $find->bikeIfNamed($request->query('bike'))?->id,
            ),
        );
    }

    public function store(ChainRequest $request, AddChain $addChain, Moments $moments): RedirectResponse
    {
        $bike = $request->bike();
        $fit = $request->boolean('fit');

        $action = $addChain(
            $request->context(),
            $bike,
            mb_strtoupper($request->string('label')->toString()),
            $request->integer('speeds'),
            $request->filled('pitches') ? $request->integer('pitches') : null,
            $request->since('bare'),
            $request->since('waxed'),
            $fit ? $moments->now() : null,
            $request->since('factory_waxed'),
            ($request->input('state') === 'factory_waxed' ? [SettingKey::ChainLoad->value => Load::FactoryWaxed->value] : []) +
                $request->facts(),
        );

        // In its box it is greased: on to the strip, with the chain chosen already.
        return $this->done(
            $action,
            $request->boolean('strip_next') ? route('strip', ['chains' => [$action->about->chain]]) : route('shed'),
        );
    }

    public function update(
        ChainRequest $request,
        Chain $chain,
        CurrentWorkshop $current,
        ReadBook $readBook,
        ChangeSettings $changeSettings,
    ): RedirectResponse {
        // What was never said of it is not said now just because the form shows what is supposed.
        $book = $readBook($current->workshop());
        $supposed = [
            SettingKey::ChainLoad->value => Load::cameWith($book->chain($chain->id, PHP_INT_MAX), $book->settings)->value,
            SettingKey::ChainJoint->value => Joint::QuickLink->value,
        ];
        $facts = array_filter(
            $request->facts(),
            fn(string|int|float|null $value, string $key) => ($supposed[$key] ?? null) !== $value ||
                $book->settings->at(SettingKey::from($key), $chain->id, PHP_INT_MAX) !== null,
            ARRAY_FILTER_USE_BOTH,
        );

        return $this->done(
            $changeSettings(
                $request->context(),
                $chain,
                [
                    SettingKey::ChainLabel->value => mb_strtoupper($request->string('label')->toString()),
                    SettingKey::ChainSpeeds->value => $request->integer('speeds'),
                    SettingKey::ChainPitches->value => $request->filled('pitches') ? $request->integer('pitches') : null,
                    SettingKey::ChainHome->value => $request->bike()->id,
                ] + $facts,
                false,
            ),
        );
    }
}
