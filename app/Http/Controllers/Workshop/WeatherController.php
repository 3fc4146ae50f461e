<?php

declare(strict_types=1);

namespace App\Http\Controllers\Workshop;

use App\Http\Controllers\Controller;
use App\Http\Requests\UploadRequest;
use App\Logbook\ReadBook;
use App\Support\CurrentWorkshop;
use App\Weather\KeptRain;
use Dripel\Core\Weather\RainTable;
use Illuminate\Http\RedirectResponse;

/** Tables of rain come in, and are forgotten. */
final class WeatherController extends Controller
{
    public function store(UploadRequest $request, CurrentWorkshop $current, ReadBook $readBook, KeptRain $kept): RedirectResponse
    {
        $workshop = $current->workshop();
        $table = (string) $request->upload()->getContent();
        $kept->keep($workshop, RainTable::of($table, $readBook->settings($workshop)->zone()));

        return back();
    }

    public function destroy(CurrentWorkshop $current, KeptRain $kept): RedirectResponse
    {
        $kept->forget($current->workshop());

        return back();
    }
}
