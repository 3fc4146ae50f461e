<?php

declare(strict_types=1);

namespace App\Actions\Chain;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Reading;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Moment;

/** A chain has been measured. What the instrument showed is kept; what it means is the core's to say. */
final readonly class RecordReading
{
    public function __construct(private Ledger $ledger, private CheckReading $check) {}

    /**
     * Refused as CheckReading says.
     *
     * @param array<string, mixed> $input of wear.reading
     * @param bool $ask whether somebody is there to be asked
     * @param int|null $instrumentId null: one as they usually are
     *
     * @throws InvalidInput
     */
    public function __invoke(
        ActionContext $by,
        Chain $chain,
        array $input,
        Moment $at,
        bool $ask = false,
        ?int $instrumentId = null,
    ): Action {
        $result = ($this->check)($by->workshop, $chain, $input, $at, $ask);

        return $this->ledger->record($by, ActionKind::RecordReading, function (Draft $draft) use (
            $chain,
            $input,
            $at,
            $result,
            $instrumentId,
        ): About {
            $draft->enter(Reading::class, $at, ['component_id' => $chain->id, 'input' => $input, 'instrument_id' => $instrumentId]);

            return (new About(chain: $chain->id, at: $at->unixS))->measuring($result);
        });
    }
}
