<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ride;

use App\Actions\Ride\ReadTable;
use App\Actions\Ride\SteerImport;
use App\Http\Controllers\Controller;
use App\Http\Props\RideTableProps;
use App\Http\Props\TracksProps;
use App\Http\Requests\Ride\RideColumnsRequest;
use App\Models\RideImport;
use App\Ride\ImportState;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** Archives and tables of rides: how far they are read, what the columns of a table are. */
final class ImportController extends Controller
{
    /** How far all of them are, for the page that watches. */
    public function index(CurrentWorkshop $current): JsonResponse
    {
        return response()->json(TracksProps::imports($current->workshop()));
    }

    public function columns(RideImport $import, CurrentWorkshop $current, Translators $translators): Response|RedirectResponse
    {
        return $import->state !== ImportState::Waiting
            ? redirect()->route('tracks')
            : Inertia::render('Ride/Table', (new RideTableProps($translators->current()))->page($current->workshop(), $import));
    }

    public function preview(RideColumnsRequest $request, RideImport $import, Translators $translators): JsonResponse
    {
        return response()->json((new RideTableProps($translators->current()))->preview($import, $request->columns()));
    }

    public function read(RideColumnsRequest $request, RideImport $import, CurrentWorkshop $current, ReadTable $readTable): RedirectResponse
    {
        $readTable($current->workshop(), $import, $request->columns());

        return redirect()->route('tracks');
    }

    public function stop(RideImport $import, SteerImport $steer): RedirectResponse
    {
        $steer->stop($import);

        return redirect()->route('tracks');
    }

    public function goOn(RideImport $import, SteerImport $steer): RedirectResponse
    {
        $steer->goOn($import);

        return redirect()->route('tracks');
    }

    public function destroy(RideImport $import, SteerImport $steer): RedirectResponse
    {
        $steer->putAside($import);

        return redirect()->route('tracks');
    }
}
