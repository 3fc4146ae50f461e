<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Plan\LocalDay;

/** The event that a chain is kept for: nobody swaps to it before, and it wants a fresh dip for it. Days YYYY-MM-DD. */
final readonly class KeptFor
{
    private function __construct(public string $event, public string $on, public ?string $dippedAfter) {}

    /** Null where it is kept for nothing, or the event is past. */
    public static function of(Settings $settings, int $chainId, int $nowS): ?self
    {
        $on = $settings->text(SettingKey::ChainEventOn, $chainId);

        return $on === '' || $on < LocalDay::of($nowS, $settings->zone())->date
            ? null
            : new self(
                $settings->text(SettingKey::ChainEvent, $chainId),
                $on,
                $settings->text(SettingKey::ChainDippedAfter, $chainId) ?: null,
            );
    }

    /** Whether it still waits for its event at an instant; on the day itself it may go on. */
    public function waits(int $nowS, Settings $settings): bool
    {
        return LocalDay::of($nowS, $settings->zone())->date < $this->on;
    }

    /** Whether it is time for the dip that it has to have for its event, and it has not had it. */
    public function wantsDip(?Dip $dip, int $nowS, Settings $settings): bool
    {
        $day = fn(int $atS): string => LocalDay::of($atS, $settings->zone())->date;

        return $this->dippedAfter !== null &&
            $day($nowS) > $this->dippedAfter &&
            ($dip === null || $day($dip->moment->unixS) <= $this->dippedAfter);
    }
}
