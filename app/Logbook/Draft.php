<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Entry;
use App\Models\LogbookRow;
use App\Models\Ride;
use App\Models\Setting;
use App\Models\Workshop;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/** What one action writes: new rows, and earlier rows that it voids or brings back. */
final class Draft
{
    /** @var list<array{string, int, string|null, string|null}> */
    private array $effects = [];

    private bool $canConflict = false;

    /** @var array<int, int> */
    private array $ridesFromS = [];

    public function __construct(public readonly Workshop $workshop, public readonly string $actionId, private readonly int $sequence) {}

    /**
     * @template T of LogbookRow
     *
     * @param class-string<T> $model
     * @param array<string, mixed> $values
     *
     * @return T
     */
    public function create(string $model, array $values = []): LogbookRow
    {
        $row = new $model(
            $values + [
                'workshop_id' => $this->workshop->id,
                'action_id' => $this->actionId,
                'sequence' => $this->sequence,
            ],
        );
        $row->save();
        $this->note($row);

        return $row;
    }

    /**
     * @template T of Entry
     *
     * @param class-string<T> $model
     * @param array<string, mixed> $values
     *
     * @return T
     */
    public function enter(string $model, Moment $moment, array $values): Entry
    {
        return $this->create($model, ['at' => $moment->unixS, 'precision' => $moment->precision] + $values);
    }

    /** @param string|int|float|list<mixed>|null $value */
    public function set(SettingKey $key, string|int|float|array|null $value, int $fromS, ?int $bikeId = null, ?int $chainId = null): void
    {
        $this->create(Setting::class, [
            'at' => $fromS,
            'precision' => 'minute',
            'key' => $key,
            'value' => $value,
            'bike_id' => $bikeId,
            'component_id' => $chainId,
        ]);
    }

    /**
     * What a thing on the bench is like, from the beginning: what is the same as before is left alone.
     *
     * @param array<string, string|int|float|list<mixed>|null> $settings by SettingKey
     */
    public function describe(Settings $before, int $componentId, array $settings): void
    {
        foreach ($settings as $key => $value) {
            $old = $before->newest(SettingKey::from($key), $componentId)?->value;
            if (is_array($value) || is_array($old) ? $value !== $old : (string) $old !== (string) $value) {
                Setting::query()
                    ->in($this->workshop)
                    ->live()
                    ->where('key', $key)
                    ->where('component_id', $componentId)
                    ->get()
                    ->each(fn(Setting $old) => $this->void($old));
                $this->set(SettingKey::from($key), $value, 0, chainId: $componentId);
            }
        }
    }

    /**
     * A new version takes the place of an entry and keeps its place among things of one instant.
     *
     * @template T of Entry
     *
     * @param T $row
     * @param array<string, mixed> $values
     *
     * @return T
     */
    public function replace(Entry $row, array $values): Entry
    {
        $this->void($row);
        $kept = collect($row->getAttributes())
            ->except(['id', 'action_id', 'voided_by', 'replaces_id'])
            ->all();
        $version = $row->newInstance();
        $version->setRawAttributes(['action_id' => $this->actionId, 'replaces_id' => $row->id] + $kept);
        $version->fill($values)->save();
        $this->note($version);

        return $version;
    }

    public function void(LogbookRow $row): void
    {
        $this->mark($row, $this->actionId);
    }

    /** Sets who voided a row, null: it counts again. Written down so that it can be taken back. */
    public function mark(LogbookRow $row, ?string $voidedBy): void
    {
        $this->effects[] = [$row->getTable(), $row->id, $row->voided_by, $voidedBy];
        $row->forceFill(['voided_by' => $voidedBy])->save();
        $this->note($row);
    }

    /** @return list<array{string, int, string|null, string|null}> */
    public function effects(): array
    {
        return $this->effects;
    }

    /** Whether anything was written that could contradict the rest of the logbook. */
    public function canConflict(): bool
    {
        return $this->canConflict;
    }

    /** @return array<int, int> the first instant of the rides that were written or voided, by bike; 0: of none */
    public function ridesFromS(): array
    {
        return $this->ridesFromS;
    }

    private function note(LogbookRow $row): void
    {
        if ($row instanceof Ride) {
            $bike = (int) $row->bike_id;
            $this->ridesFromS[$bike] = min($this->ridesFromS[$bike] ?? PHP_INT_MAX, $row->at);
        }
        $this->canConflict = $this->canConflict || EntryType::of($row)->canConflict();
    }
}
