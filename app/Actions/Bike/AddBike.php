<?php

declare(strict_types=1);

namespace App\Actions\Bike;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bike;
use Dripel\Core\Logbook\SettingKey;

/** A bike comes into the workshop. */
final readonly class AddBike
{
    public function __construct(private Ledger $ledger, private FreeNames $freeNames) {}

    /** @param array<string, string|int|float|list<mixed>|null> $settings by SettingKey; they hold from the beginning */
    public function __invoke(ActionContext $by, array $settings): Action
    {
        return $this->ledger->record($by, ActionKind::AddBike, function (Draft $draft) use ($settings): About {
            $name = $settings[SettingKey::BikeName->value];
            $this->freeNames->expect($draft->workshop, Bike::class, is_string($name) ? $name : '');
            $bike = $draft->create(Bike::class);
            foreach ($settings as $key => $value) {
                $draft->set(SettingKey::from($key), $value, 0, bikeId: $bike->id);
            }

            return new About(bike: $bike->id);
        });
    }
}
