<?php

declare(strict_types=1);

namespace App\Actions\Part;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;

/** Spare quick links of one kind come into the drawer. */
final readonly class AddLink
{
    public function __construct(private Ledger $ledger) {}

    /** @param int|null $closingsAllowed 1: single use; null: unknown */
    public function __invoke(ActionContext $by, string $name, int $count, ?int $speeds, ?int $closingsAllowed, ?int $priceMinor): Action
    {
        return $this->ledger->record($by, ActionKind::AddLink, function (Draft $draft) use (
            $name,
            $count,
            $speeds,
            $closingsAllowed,
            $priceMinor,
        ): About {
            for ($n = 0; $n < $count; $n++) {
                $link = $draft->create(Part::class, ['kind' => PartKind::QuickLink->value]);
                $draft->set(SettingKey::PartName, $name, 0, chainId: $link->id);
                $draft->set(SettingKey::LinkSpeeds, $speeds, 0, chainId: $link->id);
                $draft->set(SettingKey::LinkClosings, $closingsAllowed, 0, chainId: $link->id);
                $draft->set(SettingKey::LinkPrice, $priceMinor, 0, chainId: $link->id);
            }

            return new About(name: $name, count: $count);
        });
    }
}
