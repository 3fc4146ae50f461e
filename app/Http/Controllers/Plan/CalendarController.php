<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Http\Controllers\Controller;
use App\Models\Membership;
use App\People\ReadWhose;
use App\Plan\PlanCalendar;
use App\Support\CurrentWorkshop;
use App\Support\Reach;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** The plan for any calendar: as a file, or at an address that nobody can guess. Whoever has it can read the plan and nothing else. */
final class CalendarController extends Controller
{
    /** Of the bikes that one looks at. */
    public function file(CurrentWorkshop $current, PlanCalendar $calendar, ReadWhose $readWhose): Response
    {
        return self::answer($calendar->of($current->workshop(), $readWhose()), 'attachment');
    }

    /** Of what that person is told. */
    public function subscribe(string $secret, PlanCalendar $calendar, ReadWhose $readWhose): Response
    {
        $for = Membership::behindCalendar($secret);

        return self::answer($calendar->of($for->workshop, $readWhose->told($for->workshop, $for->user)), 'inline');
    }

    /** An address of one's own, shown once; the one before is good for nothing. */
    public function renew(CurrentWorkshop $current): RedirectResponse
    {
        $secret = $current->membership()->makeCalendar();

        return back()->with('calendarAddress', Reach::url(route('calendar', $secret, false)));
    }

    public function destroy(CurrentWorkshop $current): RedirectResponse
    {
        $current->membership()->update(['calendar_hash' => null]);

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
