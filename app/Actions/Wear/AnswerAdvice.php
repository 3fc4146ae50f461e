<?php

declare(strict_types=1);

namespace App\Actions\Wear;

use App\Actions\Workshop\ChangeSettings;
use App\Exceptions\NotPossible;
use App\Logbook\ActionContext;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Support\AppClock;
use App\Text\Units;
use App\Wear\ReadWear;
use Dripel\Core\Interval\BikeAdvice;
use Dripel\Core\Interval\LearnedByEar;
use Dripel\Core\Logbook\SettingKey;

/** The rider takes an advised interval for a bike, or declines it: it is not advised again until it says something else. */
final readonly class AnswerAdvice
{
    /** Nobody rides to the kilometre: tens of the workshop's unit. */
    private const ROUND = 10;

    public function __construct(
        private ReadBook $readBook,
        private ReadWear $readWear,
        private ChangeSettings $changeSettings,
        private AppClock $clock,
    ) {}

    /** Refused with NotPossible at `accept` where nothing is advised. */
    public function __invoke(ActionContext $by, Bike $bike, bool $accept): Action
    {
        $book = ($this->readBook)($by->workshop);
        $settings = $book->settings;
        $advice =
            BikeAdvice::ofBike(
                $book,
                ($this->readWear)($by->workshop),
                $bike->id,
                LearnedByEar::of($book, $bike->id, $this->clock->unixS()),
            ) ?? throw new NotPossible('accept', 'no_advice');
        $units = Units::of($settings);
        $km = round($units->toKm(self::ROUND * round($units->fromKm($advice->intervalKm) / self::ROUND)), 3);

        return ($this->changeSettings)(
            $by,
            $bike,
            $accept
                ? [SettingKey::IntervalKm->value => $km, SettingKey::DeclinedKm->value => null]
                : [SettingKey::DeclinedKm->value => $km],
            false,
        );
    }
}
