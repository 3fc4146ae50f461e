<?php

declare(strict_types=1);

namespace App\Actions\Workshop;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Ride;
use App\Models\Setting;
use App\Support\AppClock;
use App\Text\Shown;
use App\Text\Units;
use DateTimeZone;
use Dripel\Core\Logbook\Precision;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;

/** Settings of the workshop, a bike or a chain change: from now on, or for the past too. */
final readonly class ChangeSettings
{
    public function __construct(
        private Ledger $ledger,
        private ReadBook $readBook,
        private FreeNames $freeNames,
        private AppClock $clock,
    ) {}

    /** @param array<string, string|int|float|list<mixed>|null> $settings by SettingKey; what reads the same as before is left alone */
    public function __invoke(ActionContext $by, Bike|Chain|null $subject, array $settings, bool $alsoPast): Action
    {
        $kind = match (true) {
            $subject instanceof Bike => ActionKind::ChangeBike,
            $subject instanceof Chain => ActionKind::ChangeChain,
            default => ActionKind::ChangeWorkshop,
        };

        return $this->ledger->record($by, $kind, function (Draft $draft) use ($by, $subject, $settings, $alsoPast): About {
            $before = $this->readBook->settings($by->workshop);
            $this->expectFree($by, $subject, $settings);
            $shown = new Shown(Units::of($before));
            $changed = [];
            foreach ($settings as $name => $value) {
                $key = SettingKey::from($name);
                $old = $before->newest($key, $subject->id ?? 0)?->value;
                if ($shown->same($key, $old, $value)) {
                    continue;
                }
                $changed[$name] = [$old, $value];
                $past = $alsoPast || !$key->isDated();
                $past && $this->forget($draft, $key, $subject);
                $draft->set(
                    $key,
                    $value,
                    $past ? 0 : $this->clock->unixS(),
                    $subject instanceof Bike ? $subject->id : null,
                    $subject instanceof Chain ? $subject->id : null,
                );
                if ($key === SettingKey::TimeZone) {
                    $this->keepDays($draft, new DateTimeZone(is_string($old) ? $old : 'UTC'), new DateTimeZone(self::text($value)));
                }
            }

            return new About(
                bike: $subject instanceof Bike ? $subject->id : null,
                chain: $subject instanceof Chain ? $subject->id : null,
                changed: $changed,
                past: $alsoPast,
            );
        });
    }

    /** @param array<string, string|int|float|list<mixed>|null> $settings */
    private function expectFree(ActionContext $by, Bike|Chain|null $subject, array $settings): void
    {
        if ($subject instanceof Bike && isset($settings[SettingKey::BikeName->value])) {
            $this->freeNames->expect($by->workshop, Bike::class, self::text($settings[SettingKey::BikeName->value]), $subject->id);
        }
        if ($subject instanceof Chain && isset($settings[SettingKey::ChainLabel->value], $settings[SettingKey::ChainHome->value])) {
            $this->freeNames->expectChain(
                $by->workshop,
                (int) self::text($settings[SettingKey::ChainHome->value]),
                self::text($settings[SettingKey::ChainLabel->value]),
                $subject->id,
            );
        }
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    private function forget(Draft $draft, SettingKey $key, Bike|Chain|null $subject): void
    {
        Setting::query()
            ->in($draft->workshop)
            ->live()
            ->where('key', $key)
            ->where('bike_id', $subject instanceof Bike ? $subject->id : null)
            ->where('component_id', $subject instanceof Chain ? $subject->id : null)
            ->get()
            ->each(fn(Setting $setting) => $draft->void($setting));
    }

    /** A ride known only by its day keeps its day when the workshop moves to another zone. */
    private function keepDays(Draft $draft, DateTimeZone $from, DateTimeZone $to): void
    {
        Ride::query()->in($draft->workshop)->live()->where('precision', Precision::Day)->get()->each(
            fn(Ride $ride) => $draft->replace($ride, [
                'at' => LocalDay::named(LocalDay::of($ride->at, $from)->date, $to)->endS(),
            ]),
        );
    }
}
