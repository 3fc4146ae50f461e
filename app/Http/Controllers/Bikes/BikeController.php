<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bikes;

use App\Actions\Bikes\AddBike;
use App\Actions\Workshop\ChangeSettings;
use App\Http\Controllers\Controller;
use App\Http\Props\BikeProps;
use App\Http\Requests\Bikes\BikeRequest;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Support\CurrentWorkshop;
use App\Text\Speaker;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

final class BikeController extends Controller
{
    public function __construct(private readonly CurrentWorkshop $current, private readonly ReadBook $readBook, private readonly Speaker $speaker) {}

    public function create(): Response
    {
        return Inertia::render('Bike/Bike', $this->props()->of(null));
    }

    public function edit(Bike $bike): Response
    {
        return Inertia::render('Bike/Bike', $this->props()->of($bike->id));
    }

    public function store(BikeRequest $request, AddBike $addBike): RedirectResponse
    {
        return $this->done($addBike($request->context(), $request->settings()), route('shed'));
    }

    public function update(BikeRequest $request, Bike $bike, ChangeSettings $changeSettings): RedirectResponse|JsonResponse
    {
        return $this->doOrPreview($request, fn() => $changeSettings($request->context(), $bike, $request->settings(), $request->boolean('also_past')), route('shed'));
    }

    private function props(): BikeProps
    {
        return new BikeProps(($this->readBook)($this->current->workshop()), $this->speaker->voice());
    }
}
