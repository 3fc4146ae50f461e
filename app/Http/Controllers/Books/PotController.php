<?php

declare(strict_types=1);

namespace App\Http\Controllers\Books;

use App\Actions\Pot\AddPot;
use App\Actions\Pot\TendBath;
use App\Http\Controllers\Controller;
use App\Http\Requests\Books\BathRequest;
use App\Http\Requests\Books\PotRequest;
use App\Models\Pot;
use Illuminate\Http\RedirectResponse;

/** Pots and the wax in them. */
final class PotController extends Controller
{
    public function store(PotRequest $request, AddPot $addPot): RedirectResponse
    {
        return $this->done($addPot($request->context(), $request->settings()));
    }

    public function tend(BathRequest $request, Pot $pot, TendBath $tendBath): RedirectResponse
    {
        return $this->done($tendBath($request->context(), $pot, $request->event(), $request->moment()));
    }
}
