<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Protocol as Row;
use Dripel\Core\Strip\Protocol;
use Dripel\Core\Strip\ProtocolStep;

/** A protocol of one's own, made by copying another, or changed: jobs that run keep the one they began with. */
final readonly class KeepProtocol
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(ActionContext $by, ?Row $before, string $name, Protocol $protocol): Action
    {
        return $this->ledger->record($by, ActionKind::KeepProtocol, function (Draft $draft) use ($before, $name, $protocol): About {
            $before === null || $draft->void($before->refresh());
            $draft->create(Row::class, [
                'name' => $name,
                'steps' => array_map(fn(ProtocolStep $step) => $step->toArray(), $protocol->steps),
                'drip_only' => $protocol->dripOnly,
            ]);

            return new About(name: $name);
        });
    }

    public function drop(ActionContext $by, Row $row): Action
    {
        return $this->ledger->record($by, ActionKind::DropProtocol, function (Draft $draft) use ($row): About {
            $draft->void($row->refresh());

            return new About(name: $row->name);
        });
    }
}
