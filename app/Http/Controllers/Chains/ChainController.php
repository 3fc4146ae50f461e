<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chains;

use App\Actions\Chains\AddChain;
use App\Actions\Workshop\ChangeSettings;
use App\Http\Controllers\Controller;
use App\Http\Props\ChainPageProps;
use App\Http\Requests\Chains\ChainRequest;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Strip\OpenJobs;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use App\Text\Speaker;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\Load;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class ChainController extends Controller
{
    public function __construct(private readonly CurrentWorkshop $current, private readonly ReadBook $readBook, private readonly Speaker $speaker) {}

    public function show(Request $request, Chain $chain, OpenJobs $openJobs): Response
    {
        return Inertia::render('Chain/Chain', $this->props()->show($chain->id, $request->boolean('all'), $openJobs->byChain($this->current->workshop())[$chain->id] ?? null));
    }

    public function create(Request $request, Find $find): Response
    {
        return Inertia::render('Chain/NewChain', $this->props()->create($find->bikeIfNamed($request->query('bike'))?->id));
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
            ($request->input('state') === 'factory_waxed' ? [SettingKey::ChainLoad->value => Load::FactoryWaxed->value] : []) + $request->facts(),
        );

        // In its box it is greased: on to the strip, with the chain chosen already.
        return $this->done($action, $request->boolean('strip_next') ? route('strip', ['chains' => [$action->about['chain']]]) : route('shed'));
    }

    public function update(ChainRequest $request, Chain $chain, ChangeSettings $changeSettings): RedirectResponse
    {
        return $this->done($changeSettings($request->context(), $chain, [
            SettingKey::ChainLabel->value => mb_strtoupper($request->string('label')->toString()),
            SettingKey::ChainSpeeds->value => $request->integer('speeds'),
            SettingKey::ChainPitches->value => $request->filled('pitches') ? $request->integer('pitches') : null,
            SettingKey::ChainHome->value => $request->bike()->id,
        ] + $request->facts(), false));
    }

    private function props(): ChainPageProps
    {
        return new ChainPageProps(($this->readBook)($this->current->workshop()), $this->speaker->voice());
    }
}
