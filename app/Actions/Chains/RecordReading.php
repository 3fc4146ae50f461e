<?php

declare(strict_types=1);

namespace App\Actions\Chains;

use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Reading;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Plan\LocalDay;
use Dripel\Core\Wear\WorkshopWear;
use Dripel\Core\Wear\RulerReading;
use Dripel\Core\Wear\WearReading;
use Dripel\Core\Wear\WearReadingResult;

/** A chain has been measured. What the instrument showed is kept; what it means is the core's to say. */
final readonly class RecordReading
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook) {}

    /**
     * Refused with NotPossible at `date` where it lies before the day the chain was bought.
     *
     * If somebody is there to be asked: refused with NotPossible at `length_mm` for a length that no chain has, at `sure` for a
     * reading that hardly can be.
     *
     * @param array<string, mixed> $input of wear.reading
     *
     * @throws InvalidInput
     */
    public function __invoke(ActionContext $by, Chain $chain, array $input, Moment $at, bool $ask = false): Action
    {
        $reading = WearReading::input(Fields::fromJson((string) json_encode($input)));
        $this->expectBought($by, $chain, $at);
        $slip = $ask && $reading instanceof RulerReading ? $reading->slip() : null;
        $slip === null || throw new NotPossible('length_mm', "reading_{$slip->value}", ['pitches' => (string) $reading->pitches]);
        $result = (new WearReading)($reading);
        $ask && $this->expectLikely($by, $chain, $result, $at);

        return $this->ledger->record($by, ActionKind::RecordReading, function (Draft $draft) use ($chain, $input, $at, $result): array {
            $draft->enter(Reading::class, $at, ['component_id' => $chain->id, 'input' => $input]);

            return ['chain' => $chain->id, 'at' => $at->unixS] + $result->toArray();
        });
    }

    private function expectBought(ActionContext $by, Chain $chain, Moment $at): void
    {
        $settings = $this->readBook->settings($by->workshop);
        $bought = $settings->text(SettingKey::ChainBoughtOn, $chain->id);
        if ($bought !== '' && $at->unixS < LocalDay::named($bought, $settings->zone())->startS()) {
            throw new NotPossible('date', 'reading_before_bought');
        }
    }

    private function expectLikely(ActionContext $by, Chain $chain, WearReadingResult $result, Moment $at): void
    {
        $book = ($this->readBook)($by->workshop);
        $range = (new WorkshopWear($book, $at->unixS))->of($chain->id)?->contradicts($result);
        $percent = fn(float $value): string => (string) round(max(0.0, $value), 2);
        $range === null || throw new NotPossible('sure', 'reading_unlikely', ['low' => $percent($range[0]), 'high' => $percent($range[1])]);
    }
}
