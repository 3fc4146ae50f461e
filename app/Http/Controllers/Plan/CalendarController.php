<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Http\Controllers\Controller;
use App\Models\Workshop;
use App\Plan\PlanCalendar;
use App\Support\CurrentWorkshop;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** The plan for any calendar: as a file, or at an address that nobody can guess. Whoever has it can read the plan and nothing else. */
final class CalendarController extends Controller
{
    public function file(CurrentWorkshop $current, PlanCalendar $calendar): Response
    {
        return self::answer($calendar->of($current->workshop()), 'attachment');
    }

    public function subscribe(Workshop $workshop, PlanCalendar $calendar): Response
    {
        return self::answer($calendar->of($workshop), 'inline');
    }

    /** A new address; the one before is good for nothing. */
    public function renew(CurrentWorkshop $current): RedirectResponse
    {
        $current->workshop()->update(['calendar_secret' => Str::random(40)]);

        return back();
    }

    private static function answer(string $calendar, string $how): Response
    {
        return response($calendar, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => "{$how}; filename=\"dripel.ics\"",
        ]);
    }
}
