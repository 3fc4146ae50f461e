<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Controllers\Offline\OfflineController;
use App\Models\Role;
use App\Models\User;
use App\People\ReadWhose;
use App\Support\CurrentWorkshop;
use App\Text\Translator;
use App\Text\Translators;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Http\Request;
use Inertia\Middleware;

/**
 * What every page has: who is here, where, in which units, and what was just done.
 *
 * @phpstan-type HereView array{
 *     person: string,
 *     role: value-of<Role>,
 *     mayWrite: bool,
 *     workshop: string,
 *     demo: bool,
 *     revision: int,
 *     distanceUnit: string,
 *     currency: string,
 *     calendar: CalendarView,
 *     stay: string,
 *     whose: 'mine'|'all'|null,
 * }
 * @phpstan-type CalendarView array{
 *     months: list<string>,
 *     days: list<string>,
 *     firstDay: int,
 *     twelveHours: bool,
 *     today: string,
 *     nowS: int,
 *     zone: string,
 *     words: array{today: string, tomorrow: string, yesterday: string},
 * }
 */
final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [
            ...parent::share($request),
            'here' => fn() => $request->user() instanceof User && $request->user()->workshop_id !== null ? $this->here() : null,
            'done' => fn() => $request->session()->get('done'),
            // Addresses that are shown once.
            'invitation' => fn() => $request->session()->get('invitation'),
            'calendarAddress' => fn() => $request->session()->get('calendarAddress'),
        ];
    }

    /** @return HereView */
    private function here(): array
    {
        $current = app(CurrentWorkshop::class);
        $translator = app(Translators::class)->current();

        return [
            'person' => $current->user()->name,
            'role' => $current->role()->value,
            'mayWrite' => $current->role()->mayWrite(),
            'workshop' => $translator->settings->text(SettingKey::WorkshopName, 0),
            'demo' => $current->workshop()->demo,
            'revision' => $current->workshop()->revision,
            'distanceUnit' => $translator->quantities->units->distance,
            'currency' => $translator->quantities->units->currency,
            'calendar' => $this->calendar($translator),
            'stay' => OfflineController::addressOf($current->workshop(), $current->user()),
            // Null: there is nobody else to look at.
            'whose' => match (true) {
                !app(ReadWhose::class)->choice() => null,
                $current->membership()->only_mine => 'mine',
                default => 'all',
            },
        ];
    }

    /** @return CalendarView how the workshop writes days and times */
    private function calendar(Translator $translator): array
    {
        $q = $translator->quantities;

        return [
            'months' => $q->dates->names('MMM'),
            'days' => $q->dates->names('EEE'),
            'firstDay' => $q->units->firstDay,
            'twelveHours' => $q->units->clock === '12',
            'today' => $q->date($translator->nowS, 'yyyy-MM-dd'),
            'nowS' => $translator->nowS,
            'zone' => $translator->zone()->getName(),
            'words' => [
                'today' => $translator->say('words.today'),
                'tomorrow' => $translator->say('words.tomorrow'),
                'yesterday' => $translator->say('words.yesterday'),
            ],
        ];
    }
}
