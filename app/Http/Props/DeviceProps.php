<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Device;
use App\Models\Workshop;
use App\Text\Translator;

/**
 * Things that send something: when each did last, and until when its token is good.
 *
 * @phpstan-type DeviceView array{id: int, name: string, seen: string}
 */
final readonly class DeviceProps
{
    public function __construct(private Translator $translator) {}

    /** @return list<DeviceView> those of a kind that are connected; probes of one pot */
    public function all(Workshop $workshop, string $kind, ?int $potId = null): array
    {
        return array_values(
            Device::query()
                ->in($workshop)
                ->where('kind', $kind)
                ->where('pot_id', $potId)
                ->whereNull('gone_at')
                ->with('tokens')
                ->orderBy('id')
                ->get()
                ->map(fn(Device $device) => ['id' => $device->id, 'name' => $device->name, 'seen' => $this->seen($device)])
                ->all(),
        );
    }

    private function seen(Device $device): string
    {
        $q = $this->translator->quantities;
        $until = $device->tokens->first()?->expires_at?->getTimestamp();

        return implode(', ', [
            $device->seen_at === null
                ? $this->translator->say('pot.probe.never')
                : $this->translator->say('pot.probe.seen', ['at' => $q->dayAndTime($device->seen_at)]),
            ...$until === null ? [] : [$this->translator->say('pot.probe.until', ['day' => $q->date($until, 'd MMM y')])],
        ]);
    }
}
