<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Exceptions\VersionMoved;
use App\Logbook\ReadBook;
use App\Models\Commute;
use App\Models\Entry;
use App\Models\Estimate;
use App\Models\Opening;
use App\Models\Ride;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Dripel\Core\Logbook\Ride as CoreRide;

/**
 * Two versions of one entry side by side: what is there now, and what was about to be written.
 *
 * @phpstan-type ConflictVersion array{
 *     id: int,
 *     day: string,
 *     time: string|null,
 *     bikeName?: string,
 *     km?: string,
 *     hours?: string|null,
 *     conditionName?: string,
 * }
 * @phpstan-type ConflictPage array{
 *     seen: ConflictVersion,
 *     current: ConflictVersion|null,
 *     by: string|null,
 *     wanted: array<string, mixed>,
 *     yours: string,
 *     deleting: bool,
 *     again: array{method: 'put'|'post'|'delete', url: string}|null,
 * }
 */
final readonly class ConflictProps
{
    /** What of a form is shown as what somebody entered. */
    private const SHOWN = ['date', 'time', 'distance', 'hours', 'condition', 'km', 'since_wax', 'closings', 'until', 'from', 'to'];

    public function __construct(private Translators $translators, private CurrentWorkshop $current, private ReadBook $readBook) {}

    /** @return ConflictPage */
    public function of(VersionMoved $e): array
    {
        $by = $e->current?->action()->with('user')->first()?->who();

        return [
            'seen' => $this->version($e->seen),
            'current' => $e->current === null ? null : $this->version($e->current),
            'by' => $by,
            'wanted' => $e->current === null ? [] : $this->wanted($e->seen->id, $e->current->id),
            'yours' => implode(', ', array_filter(array_map($this->text(...), self::SHOWN))),
            'deleting' => ($e->wanted['deleted'] ?? false) === true,
            'again' => $e->current === null ? null : $this->again($e->seen->id, $e->current->id),
        ];
    }

    /** @return array{method: 'put'|'post'|'delete', url: string} where the form went, with the version that is there now in the place of the one that was seen */
    private function again(int $seenId, int $currentId): array
    {
        return [
            'method' => match (request()->method()) {
                'DELETE' => 'delete',
                'PUT' => 'put',
                default => 'post',
            },
            'url' => (string) preg_replace("#/{$seenId}(?=/|$)#", "/{$currentId}", '/' . request()->path()),
        ];
    }

    /** @return array<string, mixed> what the form said */
    private function wanted(int $seenId, int $currentId): array
    {
        $wanted = request()->except(['action_id', '_token', '_method']);
        if (is_array($wanted['rides'] ?? null)) {
            $wanted['rides'] = array_map(fn(mixed $id) => is_numeric($id) && (int) $id === $seenId ? $currentId : $id, $wanted['rides']);
        }

        return $wanted;
    }

    private function text(string $field): string
    {
        $value = request()->input($field);
        $translator = $this->translators->current();

        return match (true) {
            !is_scalar($value) || is_bool($value) || $value === '' => '',
            $field === 'condition' => $translator->say("chain.condition.{$value}"),
            in_array($field, ['distance', 'km', 'since_wax'], true) => "{$value}\u{a0}{$translator->quantities->units->distance}",
            default => (string) $value,
        };
    }

    /** @return ConflictVersion */
    private function version(Entry $row): array
    {
        $translator = $this->translators->current();
        if ($row instanceof Ride) {
            $ride = new CoreRide($row->id, $row->moment(), $row->bike_id, $row->km, $row->hours, $row->condition);

            return (new RideProps(($this->readBook)($this->current->workshop()), $translator))->ride($ride);
        }

        if ($row instanceof Opening) {
            return [
                'id' => $row->id,
                'day' => $translator->quantities->day($row->at),
                'time' => null,
                'km' => $row->km === null ? $translator->say('words.unknown') : $translator->quantities->distance($row->km, 1),
                'conditionName' => $translator->say("chain.timeline.opening_wax.{$row->wax->value}", [
                    'since' => $translator->quantities->distance($row->since_wax_km ?? 0.0),
                ]),
            ];
        }
        if ($row instanceof Estimate) {
            return [
                'id' => $row->id,
                'day' => "{$row->from_date} – {$row->to_date}",
                'time' => null,
                'bikeName' => $translator->names->bike($row->bike_id),
                'km' => $translator->quantities->distance($row->km, 1),
                'conditionName' => $translator->say("chain.condition.{$row->condition->value}"),
            ];
        }
        if ($row instanceof Commute) {
            return [
                'id' => $row->id,
                'day' => implode(', ', array_map(fn(int $day) => $translator->weekday($day), $row->weekdays)),
                'time' => $row->time,
                'bikeName' => $translator->names->bike($row->bike_id),
                'km' => $translator->quantities->distance($row->km, 1),
            ];
        }

        return ['id' => $row->id, 'day' => $translator->quantities->day($row->at), 'time' => $translator->quantities->time($row->at)];
    }
}
