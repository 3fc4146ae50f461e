<?php

declare(strict_types=1);

namespace App\Http\Controllers\Bike;

use App\Actions\Bike\ConvertBike;
use App\Http\Controllers\Controller;
use App\Http\Props\ConversionProps;
use App\Http\Requests\Bike\ConversionRequest;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** A bike ridden on oil comes to wax. */
final class ConversionController extends Controller
{
    public function show(Bike $bike, CurrentWorkshop $current, ReadBook $readBook, Translators $translators): Response
    {
        return Inertia::render(
            'Bike/Convert',
            (new ConversionProps($readBook($current->workshop()), $translators->current()))->of($bike->id),
        );
    }

    public function store(ConversionRequest $request, Bike $bike, ConvertBike $convertBike): RedirectResponse
    {
        return $this->done($convertBike($request->context(), $bike, $request->way()));
    }
}
