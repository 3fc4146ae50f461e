<?php

declare(strict_types=1);

namespace Dripel\Core\Wear;

use Dripel\Core\Chain\Pitch;
use Dripel\Core\Input\Check;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;

/** What a chain is measured with, as it is on the bench: its marks, its zero, how far it can be trusted. mm and percent. */
final readonly class Instrument
{
    /** What a steel rule of 60 cm takes in: 46 pitches are 584 mm. Common practice is 24, read half as well. */
    public const PITCHES = 46;

    public const SHORT_PITCHES = 24;

    private const USUAL_MARKS = [0.5, 0.75];

    private const MOST_MARKS = 6;

    private const HIGHEST_MARK_PCT = 2.0;

    /**
     * @param list<float> $marks of a drop-in gauge, rising
     * @param float $uncertainty standard, in mm of a rule, in percent of a digital gauge
     *
     * @throws InvalidInput at `marks` unless 1 to 6 rising ones above 0 and up to 2 %, at `pitches`, at `uncertainty` unless above 0
     */
    public function __construct(
        public ?int $id,
        public InstrumentKind $kind,
        public array $marks = self::USUAL_MARKS,
        public int $pitches = self::PITCHES,
        public float $uncertainty = RulerReading::UNCERTAINTY_MM,
        /** Of a digital gauge: what it shows when it is closed. */
        public float $zeroPct = 0.0,
    ) {
        Check::between('pitches', $pitches, 1, 200);
        Check::positive('uncertainty', $uncertainty);
        Check::finite('zero', $zeroPct);
        ($marks !== [] && count($marks) <= self::MOST_MARKS) || throw new InvalidInput('marks', 'must be one to six');
        foreach ($marks as $i => $mark) {
            Check::positive('marks', $mark) <= self::HIGHEST_MARK_PCT || throw new InvalidInput('marks', 'must be percent, up to 2');
            $i === 0 || $mark > $marks[$i - 1] || throw new InvalidInput('marks', 'must rise, and be there once');
        }
    }

    /** One of a kind of which nobody said more: house rules. */
    public static function usual(InstrumentKind $kind): self
    {
        return new self(
            null,
            $kind,
            uncertainty: $kind === InstrumentKind::Digital ? DigitalReading::UNCERTAINTY_PCT : RulerReading::UNCERTAINTY_MM,
        );
    }

    /** As a workshop keeps it. */
    public static function kept(Settings $settings, int $id): self
    {
        $usual = self::usual(InstrumentKind::from($settings->text(SettingKey::InstrumentKind, $id, InstrumentKind::Ruler->value)));
        $marks = $settings->numbers(SettingKey::InstrumentMarks, $id);

        return new self(
            $id,
            $usual->kind,
            $marks === [] ? $usual->marks : $marks,
            $settings->whole(SettingKey::InstrumentPitches, $id, $usual->pitches),
            (float) ($settings->at(SettingKey::InstrumentUncertainty, $id, PHP_INT_MAX) ?? $usual->uncertainty),
            (float) ($settings->at(SettingKey::InstrumentZero, $id, PHP_INT_MAX) ?? $usual->zeroPct),
        );
    }

    /** @return list<self> those of a workshop that are in use, and of each kind that it has none of, one as they usually are */
    public static function all(Settings $settings): array
    {
        $ids = array_filter(
            $settings->subjects(SettingKey::InstrumentKind),
            fn(int $id) => $settings->whole(SettingKey::InstrumentGone, $id) === 0,
        );
        $own = array_values(array_map(fn(int $id) => self::kept($settings, $id), $ids));
        $kinds = array_map(fn(self $instrument) => $instrument->kind, $own);

        return [
            ...$own,
            ...array_values(
                array_map(
                    self::usual(...),
                    array_filter(InstrumentKind::cases(), fn(InstrumentKind $kind) => !in_array($kind, $kinds, true)),
                ),
            ),
        ];
    }

    /** How well it reads a chain, as a standard uncertainty in percent; null for a drop-in gauge, which gives an interval. */
    public function sigmaPct(?int $pitches = null): ?float
    {
        return match ($this->kind) {
            InstrumentKind::Ruler => (100.0 * $this->uncertainty) / (Pitch::MM * ($pitches ?? $this->pitches)),
            InstrumentKind::Digital => $this->uncertainty,
            InstrumentKind::DropIn => null,
        };
    }

    /**
     * What it showed at several spots, as wear.reading takes it; of a single spot that alone.
     *
     * @param list<array<string, mixed>> $spots each with `length_mm` (and `pitches`, if others than usual), `value_pct` or `results`
     *
     * @return array<string, mixed>
     */
    public function input(array $spots): array
    {
        $inputs = array_map(
            fn(array $spot): array => match ($this->kind) {
                InstrumentKind::Ruler => [
                    'kind' => 'ruler',
                    'pitches' => $spot['pitches'] ?? $this->pitches,
                    'length_mm' => $spot['length_mm'],
                    'uncertainty_mm' => $this->uncertainty,
                ],
                InstrumentKind::Digital => [
                    'kind' => 'digital',
                    'value_pct' => $spot['value_pct'],
                    'uncertainty_pct' => $this->uncertainty,
                    'zero_pct' => $this->zeroPct,
                ],
                InstrumentKind::DropIn => ['kind' => 'drop_in', 'results' => $spot['results']],
            },
            $spots,
        );

        return count($inputs) === 1 ? $inputs[0] : ['kind' => 'spots', 'spots' => $inputs];
    }
}
