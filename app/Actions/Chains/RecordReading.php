<?php

declare(strict_types=1);

namespace App\Actions\Chains;

use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Reading;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Wear\WearReading;

/** A chain has been measured. What the instrument showed is kept; what it means is the core's to say. */
final readonly class RecordReading
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param array<string, mixed> $input of wear.reading
     *
     * @throws InvalidInput
     */
    public function __invoke(ActionContext $by, Chain $chain, array $input, Moment $at): Action
    {
        $result = (new WearReading)(WearReading::input(Fields::fromJson((string) json_encode($input))));

        return $this->ledger->record($by, ActionKind::RecordReading, function (Draft $draft) use ($chain, $input, $at, $result): array {
            $draft->enter(Reading::class, $at, ['component_id' => $chain->id, 'input' => $input]);

            return ['chain' => $chain->id, 'at' => $at->unixS] + $result->toArray();
        });
    }
}
