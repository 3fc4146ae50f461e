<?php

declare(strict_types=1);

namespace App\Actions\Cost;

use App\Exceptions\VersionMoved;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Price;
use Dripel\Core\Cost\Price as CorePrice;
use Dripel\Core\Cost\Supply;
use Dripel\Core\Logbook\Moment;

/** A supply costs so much from a day on; earlier costs keep the price of their day. What was noted wrongly is put right. */
final readonly class SetPrice
{
    public function __construct(private Ledger $ledger) {}

    /** Refused with VersionMoved if somebody changed it since. */
    public function __invoke(
        ActionContext $by,
        Supply $supply,
        int $amountMinor,
        float $quantity,
        Moment $from,
        ?Price $seen = null,
    ): Action {
        return $this->ledger->record($by, ActionKind::SetPrice, function (Draft $draft) use (
            $seen,
            $supply,
            $amountMinor,
            $quantity,
            $from,
        ): About {
            new CorePrice(0, $supply, $from->unixS, $amountMinor, $quantity);
            $values = ['supply' => $supply, 'amount_minor' => $amountMinor, 'quantity' => $quantity];
            if ($seen === null) {
                $draft->enter(Price::class, $from, $values);
            } else {
                $row = $seen->refresh();
                $row->voided_by === null || throw VersionMoved::of($row, $values);
                $draft->replace($row, $values + ['at' => $from->unixS]);
            }

            return new About(
                supply: $supply->value,
                amountMinor: $amountMinor,
                quantity: $quantity,
                at: $from->unixS,
                replaces: $seen !== null,
            );
        });
    }
}
