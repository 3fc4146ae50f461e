<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bike;

use App\Actions\Bike\AddBike;
use App\Actions\Workshop\ChangeSettings;
use App\Http\Controllers\Controller;
use App\Http\Props\BikeProps;
use App\Http\Requests\Bike\BikeRequest;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Models\Workshop;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

final class BikeController extends Controller
{
    public function create(CurrentWorkshop $current, ReadBook $readBook, Translators $translators): Response
    {
        return self::page($current->workshop(), $readBook, $translators, null);
    }

    public function edit(Bike $bike, CurrentWorkshop $current, ReadBook $readBook, Translators $translators): Response
    {
        return self::page($current->workshop(), $readBook, $translators, $bike->id);
    }

    public function store(BikeRequest $request, AddBike $addBike): RedirectResponse
    {
        return $this->done($addBike($request->context(), $request->settings()), route('shed'));
    }

    public function update(BikeRequest $request, Bike $bike, ChangeSettings $changeSettings): RedirectResponse|JsonResponse
    {
        return $this->doOrPreview(
            $request,
            fn() => $changeSettings($request->context(), $bike, $request->settings(), $request->boolean('also_past')),
            route('shed'),
        );
    }

    private static function page(Workshop $workshop, ReadBook $readBook, Translators $translators, ?int $bikeId): Response
    {
        $props = new BikeProps($readBook($workshop), $translators->current(), $workshop->names());

        return Inertia::render('Bike/Bike', $props->of($bikeId));
    }
}
