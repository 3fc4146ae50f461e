<?php

declare(strict_types=1);

namespace App\Http\Controllers\Cost;

use App\Actions\Workshop\ChangeSettings;
use App\Http\Controllers\Controller;
use App\Http\Props\MoneyProps;
use App\Http\Requests\Cost\HourRequest;
use App\Http\Requests\Cost\PlainDripRequest;
use App\Support\CurrentWorkshop;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** What it all costs, by year, by bike and by chain, and what plain drip would. */
final class MoneyController extends Controller
{
    public function index(Request $request, CurrentWorkshop $current, MoneyProps $props): Response
    {
        return Inertia::render('Cost/Money', $props->all($current->workshop(), (string) $request->string('sort')));
    }

    public function update(PlainDripRequest $request, ChangeSettings $changeSettings): RedirectResponse
    {
        return $this->done(
            $changeSettings(
                $request->context(),
                null,
                [
                    SettingKey::DripAsWax->value => $request->asWaxOrHouse(),
                    SettingKey::PlainDripEveryKm->value => $request->kmOrHouse('every'),
                ],
                false,
            ),
        );
    }

    /** What an hour is worth: for money, years to come and the plan. */
    public function hour(HourRequest $request, ChangeSettings $changeSettings): RedirectResponse
    {
        return $this->done($changeSettings($request->context(), null, [SettingKey::HourPrice->value => $request->hourMinor()], false));
    }
}
