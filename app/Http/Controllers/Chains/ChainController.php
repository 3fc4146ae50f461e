<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chains;

use App\Actions\Chains\AddChain;
use App\Actions\Workshop\ChangeSettings;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Http\Props\ChainPageProps;
use App\Http\Requests\Chains\ChainRequest;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Support\CurrentWorkshop;
use App\Text\Speaker;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class ChainController extends Controller
{
    public function __construct(private readonly CurrentWorkshop $current, private readonly ReadBook $readBook, private readonly Speaker $speaker) {}

    public function show(Request $request, Chain $chain): Response
    {
        return Inertia::render('Chain/Chain', $this->props()->show($chain->id, $request->boolean('all')));
    }

    public function create(Request $request): Response
    {
        $props = $this->props()->create($request->filled('bike') ? $request->integer('bike') : null);
        abort_if($props === null, 404);

        return Inertia::render('Chain/NewChain', $props);
    }

    public function store(ChainRequest $request, AddChain $addChain, Moments $moments): RedirectResponse
    {
        $bike = $request->bike();
        $this->expectFree($request, $bike->id, null);
        $fit = $request->boolean('fit');

        return $this->done($addChain(
            $request->context(),
            $bike,
            mb_strtoupper($request->string('label')->toString()),
            $request->integer('speeds'),
            $request->filled('pitches') ? $request->integer('pitches') : null,
            $request->since('bare'),
            $request->since('waxed'),
            $fit ? $moments->now() : null,
        ), route('shed'));
    }

    public function update(ChainRequest $request, Chain $chain, ChangeSettings $changeSettings): RedirectResponse
    {
        $this->expectFree($request, $request->bike()->id, $chain->id);

        return $this->done($changeSettings($request->context(), $chain, [
            SettingKey::ChainLabel->value => mb_strtoupper($request->string('label')->toString()),
            SettingKey::ChainSpeeds->value => $request->integer('speeds'),
            SettingKey::ChainPitches->value => $request->filled('pitches') ? $request->integer('pitches') : null,
            SettingKey::ChainHome->value => $request->bike()->id,
        ], false));
    }

    /** Two chains with one letter on a rail cannot be told apart. */
    private function expectFree(ChainRequest $request, int $bikeId, ?int $chainId): void
    {
        $label = mb_strtoupper($request->string('label')->toString());
        foreach ($this->props()->labelsOf($bikeId) as $otherId => $taken) {
            if ($otherId !== $chainId && $taken === $label && $request->context()->actionId !== Chain::query()->findOrFail($otherId)->action_id) {
                throw new NotPossible('label', 'label_taken', ['label' => $label]);
            }
        }
    }

    private function props(): ChainPageProps
    {
        return new ChainPageProps(($this->readBook)($this->current->workshop()), $this->speaker->voice());
    }
}
