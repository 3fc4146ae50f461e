<?php

declare(strict_types=1);

namespace App\Http\Controllers\Arriving;

use App\Actions\Arriving\Arrive;
use App\Arriving\PartsTable;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Http\Props\ArriveProps;
use App\Http\Requests\Arriving\PartsTableRequest;
use App\Logbook\Moments;
use App\Logbook\ReadBook;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response as HttpResponse;
use Inertia\Inertia;
use Inertia\Response;

/** Many used parts from a table: looked at first, then taken in or left. */
final class PartsTableController extends Controller
{
    public function create(ArriveProps $props): Response
    {
        return Inertia::render('Arriving/Table', $props->table(null));
    }

    public function template(): HttpResponse
    {
        return response(PartsTable::template(), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="dripel-parts.csv"',
        ]);
    }

    public function preview(PartsTableRequest $request, ArriveProps $props): Response
    {
        return Inertia::render('Arriving/Table', $props->table($request->string('text')->toString()));
    }

    public function store(PartsTableRequest $request, Arrive $arrive, ReadBook $readBook, Moments $moments): RedirectResponse
    {
        $table = $request->table();
        $table->faultless() || throw new NotPossible('text', 'table_has_faults');

        return $this->done(
            $arrive($request->context(), $table->arrivals($request->workshop(), $readBook($request->workshop())), $moments->now()),
            route('shed'),
        );
    }
}
