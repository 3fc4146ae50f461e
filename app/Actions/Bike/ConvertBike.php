<?php

declare(strict_types=1);

namespace App\Actions\Bike;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bike;
use Dripel\Core\Care\ConversionWay;
use Dripel\Core\Logbook\SettingKey;

/** Somebody decides with which chain a bike goes from oil to wax; the rest follows from what is done. */
final readonly class ConvertBike
{
    public function __construct(private Ledger $ledger) {}

    public function __invoke(ActionContext $by, Bike $bike, ConversionWay $way): Action
    {
        return $this->ledger->record($by, ActionKind::ConvertBike, function (Draft $draft) use ($bike, $way): About {
            $draft->set(SettingKey::BikeConvert, $way->value, 0, bikeId: $bike->id);

            return new About(bike: $bike->id);
        });
    }
}
