<?php

declare(strict_types=1);

namespace App\Http\Controllers\CatchUp;

use App\Actions\CatchUp\ConfirmCommute;
use App\Actions\CatchUp\SetCommute;
use App\Http\Controllers\Controller;
use App\Http\Requests\CatchUp\CommuteDaysRequest;
use App\Http\Requests\CatchUp\CommuteRequest;
use App\Logbook\Moments;
use App\Models\Bike;
use App\Models\Commute;
use Illuminate\Http\RedirectResponse;

/** The weekly commute and the days on which it filled itself in. */
final class CommuteController extends Controller
{
    public function store(CommuteRequest $request, SetCommute $setCommute, Moments $moments): RedirectResponse
    {
        return $this->done($setCommute($request->context(), null, $request->columns(), $moments->now()));
    }

    public function update(CommuteRequest $request, Commute $commute, SetCommute $setCommute, Moments $moments): RedirectResponse
    {
        return $this->done($setCommute($request->context(), $commute, $request->columns($commute), $moments->now()));
    }

    public function days(CommuteDaysRequest $request, Bike $bike, ConfirmCommute $confirmCommute): RedirectResponse
    {
        return $this->done($confirmCommute($request->context(), $bike, $request->dates(), $request->boolean('ridden')));
    }
}
