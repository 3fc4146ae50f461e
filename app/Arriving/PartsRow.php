<?php

declare(strict_types=1);

namespace App\Arriving;

use App\Actions\Arriving\ArrivingPart;
use App\Models\Chain;
use App\Text\Units;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\WaxThen;

/** One row of a table of used parts: what it says, and what is wrong with it, by column. */
final readonly class PartsRow
{
    private const YES = ['yes', 'y', '1', 'true', 'x'];

    private const NO = ['', 'no', 'n', '0', 'false'];

    /**
     * @param array<string, string> $cells as written
     * @param array<string, string> $errors codes by column
     */
    private function __construct(
        public int $line,
        public array $cells,
        public string $bike,
        public string $kind,
        public string $letter,
        public ?int $speeds,
        public ?int $pitches,
        public ?float $km,
        public WaxThen $wax,
        public ?float $sinceWaxKm,
        public ?float $wearPct,
        public ?int $closings,
        public ?int $closingsAllowed,
        public bool $fitted,
        public array $errors,
    ) {}

    /** @param array<string, string> $cells */
    public static function read(int $line, array $cells, bool $tooMany, Units $units): self
    {
        $errors = $tooMany ? ['bike' => 'too_many_cells'] : [];
        $number = function (string $column, float $least, float $most) use ($cells, &$errors): ?float {
            $text = str_replace(',', '.', $cells[$column] ?? '');
            if ($text === '' || mb_strtolower($text) === 'unknown') {
                return null;
            }
            if (!is_numeric($text) || (float) $text < $least || (float) $text > $most) {
                $errors[$column] = 'number';

                return null;
            }

            return (float) $text;
        };
        $whole = fn(string $column, int $least, int $most): ?int => ($value = $number($column, $least, $most)) === null
            ? null
            : (int) $value;
        $since = mb_strtolower($cells['since_wax'] ?? '');
        $wax = match ($since) {
            '', 'none' => WaxThen::None,
            'unknown' => WaxThen::Unknown,
            default => WaxThen::Known,
        };
        $km = $number('distance', 0, 500_000);
        $sinceKm = $wax === WaxThen::Known ? $number('since_wax', 0, 5_000) : null;
        $kind = mb_strtolower(str_replace(' ', '_', $cells['part'] ?? ''));
        $letter = mb_strtoupper($cells['letter'] ?? '');
        $fitted = mb_strtolower($cells['on_bike'] ?? '');
        (($cells['bike'] ?? '') !== '' && mb_strlen($cells['bike']) <= 40) || ($errors['bike'] ??= 'bike');
        in_array($kind, [Chain::KIND, ...array_column(PartKind::cases(), 'value')], true) || ($errors['part'] = 'part');
        self::sitsOnBike($kind) || preg_match('/^[\p{L}\p{N}]{1,3}$/u', $letter) === 1 || ($errors['letter'] = 'letter');
        in_array($fitted, [...self::YES, ...self::NO], true) || ($errors['on_bike'] = 'yes_or_no');
        // A cassette, ring or pair of jockey wheels counts on the bike it is on; in a drawer it has no place here yet.
        $fitted !== '' && in_array($fitted, self::NO, true) && self::sitsOnBike($kind) && ($errors['on_bike'] ??= 'spare_part');
        $sinceKm !== null && $km !== null && $sinceKm > $km && ($errors['since_wax'] = 'since_wax');
        $pitches = $whole('pitches', 60, 180);
        $pitches !== null && $pitches % 2 !== 0 && ($errors['pitches'] = 'even');

        return new self(
            $line,
            $cells,
            $cells['bike'] ?? '',
            $kind,
            $letter,
            $whole('speeds', 1, 14),
            $pitches,
            $km === null ? null : $units->toKm($km),
            $wax,
            $sinceKm === null ? null : $units->toKm($sinceKm),
            $number('wear_pct', -1, 5),
            $whole('closings', 0, 100),
            $whole('closings_allowed', 1, 100),
            in_array($fitted, self::YES, true),
            $errors,
        );
    }

    private static function sitsOnBike(string $kind): bool
    {
        return PartKind::tryFrom($kind)?->slot() !== null;
    }

    public function part(): ArrivingPart
    {
        return new ArrivingPart(
            $this->kind,
            self::sitsOnBike($this->kind) && $this->letter === '' ? (string) __("ui.parts.{$this->kind}") : $this->letter,
            $this->speeds,
            $this->pitches,
            $this->km,
            $this->kind === Chain::KIND ? $this->wax : WaxThen::None,
            $this->sinceWaxKm,
            $this->wearPct === null ? null : ['kind' => 'digital', 'value_pct' => $this->wearPct],
            $this->closings,
            $this->closingsAllowed,
            $this->fitted && $this->kind === Chain::KIND,
        );
    }
}
