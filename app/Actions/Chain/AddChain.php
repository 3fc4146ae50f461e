<?php

declare(strict_types=1);

namespace App\Actions\Chain;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Dip;
use App\Models\Fitting;
use App\Models\Opening;
use App\Models\Strip;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\WaxThen;

/** A chain comes into the workshop: boxed, stripped or waxed, onto a bike's rail or straight onto the bike. */
final readonly class AddChain
{
    public function __construct(private Ledger $ledger, private FreeNames $freeNames) {}

    /** @param array<string, string|int|float|null> $facts what else is known of it, by SettingKey */
    public function __invoke(
        ActionContext $by,
        Bike $home,
        string $label,
        int $speeds,
        ?int $pitches,
        ?Moment $strippedAt = null,
        ?Moment $dippedAt = null,
        ?Moment $fittedAt = null,
        ?Moment $factoryWaxedAt = null,
        array $facts = [],
    ): Action {
        return $this->ledger->record($by, ActionKind::AddChain, function (Draft $draft) use (
            $home,
            $label,
            $speeds,
            $pitches,
            $strippedAt,
            $dippedAt,
            $fittedAt,
            $factoryWaxedAt,
            $facts,
        ): About {
            $this->freeNames->expectChain($draft->workshop, $home->id, $label);
            $chain = $draft->create(Chain::class, ['kind' => Chain::KIND]);
            $draft->set(SettingKey::ChainLabel, $label, 0, chainId: $chain->id);
            $draft->set(SettingKey::ChainSpeeds, $speeds, 0, chainId: $chain->id);
            $draft->set(SettingKey::ChainPitches, $pitches, 0, chainId: $chain->id);
            $draft->set(SettingKey::ChainHome, $home->id, 0, chainId: $chain->id);
            foreach ($facts as $key => $value) {
                $value === null || $draft->set(SettingKey::from($key), $value, 0, chainId: $chain->id);
            }
            // It comes with a full coat and has run nothing on it.
            $factoryWaxedAt === null ||
                $draft->enter(Opening::class, $factoryWaxedAt, [
                    'component_id' => $chain->id,
                    'km' => 0.0,
                    'wax' => WaxThen::Known,
                    'since_wax_km' => 0.0,
                ]);
            $strippedAt === null || $draft->enter(Strip::class, $strippedAt, ['component_id' => $chain->id]);
            $dippedAt === null || $draft->enter(Dip::class, $dippedAt, ['component_id' => $chain->id]);
            $fittedAt === null || $draft->enter(Fitting::class, $fittedAt, ['bike_id' => $home->id, 'component_id' => $chain->id]);

            return new About(chain: $chain->id, bike: $home->id);
        });
    }
}
