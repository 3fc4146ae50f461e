<?php

declare(strict_types=1);

namespace App\Actions\Chain;

use App\Exceptions\NotPossible;
use App\Logbook\ReadBook;
use App\Models\Chain;
use App\Models\Workshop;
use App\Wear\ReadWear;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Wear\RulerReading;
use Dripel\Core\Wear\SpotsReading;
use Dripel\Core\Wear\WearReading;
use Dripel\Core\Wear\WearReadingInput;
use Dripel\Core\Wear\WearReadingResult;

/** Whether a reading can be, and whether it is likely, before it is kept. */
final readonly class CheckReading
{
    public function __construct(private ReadBook $readBook, private ReadWear $readWear) {}

    /**
     * Refused with NotPossible at `date` where it lies before the day the chain was bought. If somebody is there to be asked:
     * at `spots.N.length_mm` for a length that no chain has, at `sure` for a reading that hardly can be.
     *
     * @param array<string, mixed> $input of wear.reading
     *
     * @throws InvalidInput at `spots.N…` for what an instrument cannot have shown
     */
    public function __invoke(Workshop $workshop, Chain $chain, array $input, Moment $at, bool $ask): WearReadingResult
    {
        $reading = self::reading($input);
        $this->expectBought($workshop, $chain, $at);
        foreach ($ask ? ($reading instanceof SpotsReading ? $reading->spots : [$reading]) : [] as $n => $spot) {
            if ($spot instanceof RulerReading && $spot->slip() !== null) {
                throw new NotPossible("spots.{$n}.length_mm", "reading_{$spot->slip()->value}", ['pitches' => (string) $spot->pitches]);
            }
        }
        $result = (new WearReading())($reading);
        $ask && $this->expectLikely($workshop, $chain, $result, $at);

        return $result;
    }

    /**
     * @param array<string, mixed> $input
     *
     * @throws InvalidInput at `spots.N…`, also where there is only one spot
     */
    public static function reading(array $input): WearReadingInput
    {
        try {
            return WearReading::input(Fields::fromJson((string) json_encode($input)));
        } catch (InvalidInput $e) {
            throw ($input['kind'] ?? null) === 'spots' ? $e : $e->within('spots.0');
        }
    }

    private function expectBought(Workshop $workshop, Chain $chain, Moment $at): void
    {
        $settings = $this->readBook->settings($workshop);
        $bought = $settings->text(SettingKey::ChainBoughtOn, $chain->id);
        if ($bought !== '' && $at->unixS < LocalDay::named($bought, $settings->zone())->startS()) {
            throw new NotPossible('date', 'reading_before_bought');
        }
    }

    private function expectLikely(Workshop $workshop, Chain $chain, WearReadingResult $result, Moment $at): void
    {
        $range = ($this->readWear)($workshop, $at->unixS)->of($chain->id)?->contradicts($result);
        $range === null || throw new NotPossible('sure', 'reading_unlikely', self::expected($range));
    }

    /**
     * @param array{float, float} $range what was expected, %
     *
     * @return array{low: string, high: string}
     */
    public static function expected(array $range): array
    {
        $percent = fn(float $value): string => (string) round(max(0.0, $value), 2);

        return ['low' => $percent($range[0]), 'high' => $percent($range[1])];
    }
}
