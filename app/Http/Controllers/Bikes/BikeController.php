<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bikes;

use App\Actions\Bikes\AddBike;
use App\Actions\Workshop\ChangeSettings;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Http\Props\BikeProps;
use App\Http\Requests\Bikes\BikeRequest;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Support\CurrentWorkshop;
use App\Text\Speaker;
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
        $this->expectFree($request, null);

        return $this->done($addBike($request->context(), $request->settings()), route('shed'));
    }

    public function update(BikeRequest $request, Bike $bike, ChangeSettings $changeSettings): RedirectResponse
    {
        $this->expectFree($request, $bike->id);

        return $this->done($changeSettings($request->context(), $bike, $request->settings(), $request->boolean('also_past')), route('shed'));
    }

    private function expectFree(BikeRequest $request, ?int $bikeId): void
    {
        $name = trim($request->string('name')->toString());
        foreach ($this->props()->names() as $otherId => $taken) {
            if ($otherId !== $bikeId && mb_strtolower($taken) === mb_strtolower($name) && $request->context()->actionId !== Bike::query()->findOrFail($otherId)->action_id) {
                throw new NotPossible('name', 'name_taken', ['name' => $name]);
            }
        }
    }

    private function props(): BikeProps
    {
        return new BikeProps(($this->readBook)($this->current->workshop()), $this->speaker->voice());
    }
}
