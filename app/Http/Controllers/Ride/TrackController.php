<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ride;

use App\Actions\Ride\KeepTrack;
use App\Actions\Ride\LeaveTracks;
use App\Actions\Ride\TakeFile;
use App\Actions\Ride\TakeInRides;
use App\Http\Controllers\Controller;
use App\Http\Props\TrackProps;
use App\Http\Props\TracksProps;
use App\Http\Requests\Ride\KeepTrackRequest;
use App\Http\Requests\Ride\TakeInRequest;
use App\Http\Requests\UploadRequest;
use App\Logbook\ReadBook;
use App\Logbook\WetChain;
use App\Models\Track;
use App\Support\CurrentWorkshop;
use App\Support\Find;
use App\Text\Translators;
use App\Weather\ReadWeather;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Ride\RideFileKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** A ride file: looked at first, then kept or left. */
final class TrackController extends Controller
{
    public function store(UploadRequest $request, CurrentWorkshop $current, TakeFile $takeFile): RedirectResponse
    {
        $taken = $takeFile($current->workshop(), $request->upload()->getPathname(), $request->upload()->getClientOriginalName());

        return match (true) {
            $taken instanceof Track => redirect()->route('track', $taken),
            $taken->kind === RideFileKind::Table => redirect()->route('ride-table', $taken),
            default => redirect()->route('tracks'),
        };
    }

    /** One of many: what came of it, for the page that sends them one by one. */
    public function storeOne(UploadRequest $request, CurrentWorkshop $current, TakeFile $takeFile): JsonResponse
    {
        $taken = $takeFile($current->workshop(), $request->upload()->getPathname(), $request->upload()->getClientOriginalName());

        return response()->json(['id' => $taken->id]);
    }

    public function index(CurrentWorkshop $current, ReadBook $readBook, Translators $translators, ReadWeather $readWeather): Response
    {
        $workshop = $current->workshop();
        $props = new TracksProps($readBook($workshop), $translators->current(), $readWeather);
        $page = $props->all($workshop);

        return Inertia::render(
            'Ride/Tracks',
            $page + (count($page['tracks']) < $page['count'] ? ['rest' => Inertia::defer(fn() => $props->rest($workshop))] : []),
        );
    }

    public function takeIn(TakeInRequest $request, TakeInRides $takeIn): RedirectResponse
    {
        return $this->done($takeIn($request->context(), $request->rides()), route('rides'));
    }

    public function leave(CurrentWorkshop $current, LeaveTracks $leave): RedirectResponse
    {
        $leave($current->workshop());

        return redirect()->route('rides');
    }

    public function show(
        Request $request,
        Track $track,
        CurrentWorkshop $current,
        ReadBook $readBook,
        Translators $translators,
        Find $find,
    ): Response {
        $bike = $find->bikeIfNamed($request->query('bike'));

        return Inertia::render(
            'Ride/Track',
            (new TrackProps($readBook($current->workshop()), $translators->current()))->of(
                $track,
                $bike?->id,
                Condition::tryFrom($request->string('condition')->toString()) ?? Condition::Dry,
            ),
        );
    }

    public function keep(KeepTrackRequest $request, Track $track, KeepTrack $keepTrack, WetChain $wetChain): RedirectResponse
    {
        $action = $keepTrack($request->context(), $request->facts($track), $track, $request->boolean('loud'));
        $wet = $wetChain($request->workshop(), $action);

        return $this->done($action, $wet === null ? route('rides') : route('wet', $wet));
    }

    public function destroy(Track $track): RedirectResponse
    {
        $track->delete();

        return redirect()->route('rides');
    }
}
