<?php

declare(strict_types=1);

namespace Bench;

use App\Actions\Workshop\OpenWorkshop;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Dip;
use App\Models\Fitting;
use App\Models\Reading;
use App\Models\Ride;
use App\Models\User;
use App\Support\AppClock;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Support\Str;

/** A workshop as it looks after many years: 10 bikes, 60 chains, and for each year 500 rides, 100 swaps, dips and readings. */
final readonly class ManyYears
{
    private const BIKES = 10;

    private const CHAINS_PER_BIKE = 6;

    private const RIDES_PER_YEAR = 500;

    private const RIDES_PER_SWAP = 5;

    private const DAYS_PER_YEAR = 365.25;

    public function __construct(private AppClock $clock, private OpenWorkshop $openWorkshop, private Ledger $ledger) {}

    public function __invoke(int $years): void
    {
        [$rides, $days] = [$years * self::RIDES_PER_YEAR, (int) ($years * self::DAYS_PER_YEAR)];
        $user = User::query()->create(['name' => 'Many years', 'email' => 'bench@dripel.example', 'password' => Str::random(40)]);
        $workshop = ($this->openWorkshop)($user, 'Many years', 'Europe/Amsterdam', true);
        $startS = $this->clock->unixS() - 86400 * $days;
        // One action for all of it: what is measured is reading, not writing.
        $this->ledger->record(new ActionContext($workshop, $user, (string) Str::uuid()), ActionKind::AddBike, function (Draft $draft) use (
            $startS,
            $rides,
            $days,
        ): About {
            $bikes = array_map(fn(int $b) => $this->bike($draft, $b), range(0, self::BIKES - 1));
            $chains = array_map(
                fn(Bike $bike) => array_map(fn(int $c) => $this->chain($draft, $bike, chr(65 + $c)), range(0, self::CHAINS_PER_BIKE - 1)),
                $bikes,
            );
            $on = array_fill(0, self::BIKES, 0);
            foreach ($bikes as $b => $bike) {
                $this->swap($draft, $bike, $chains[$b][0], $startS);
            }
            $conditions = [Condition::Dry, Condition::Dry, Condition::Damp, Condition::Dusty, Condition::Wet];
            for ($i = 0; $i < $rides; $i++) {
                $b = $i % self::BIKES;
                $atS = $startS + (int) ((86400 * $days * ($i + 1)) / ($rides + 1));
                $draft->enter(Ride::class, new Moment($atS), [
                    'bike_id' => $bikes[$b]->id,
                    'km' => 30 + ($i % 50),
                    'hours' => 1.5,
                    'condition' => $conditions[$i % 5],
                ]);
                if (intdiv($i, self::BIKES) % self::RIDES_PER_SWAP === self::RIDES_PER_SWAP - 1) {
                    $on[$b] = ($on[$b] + 1) % self::CHAINS_PER_BIKE;
                    $this->swap($draft, $bikes[$b], $chains[$b][$on[$b]], $atS + 20_000);
                }
            }

            return new About(bike: $bikes[0]->id);
        });
    }

    private function bike(Draft $draft, int $number): Bike
    {
        $bike = $draft->create(Bike::class);
        $draft->set(SettingKey::BikeName, "Bike {$number}", 0, bikeId: $bike->id);
        $draft->set(SettingKey::IntervalKm, 300, 0, bikeId: $bike->id);

        return $bike;
    }

    private function chain(Draft $draft, Bike $bike, string $label): Chain
    {
        $chain = $draft->create(Chain::class, ['kind' => Chain::KIND]);
        $draft->set(SettingKey::ChainLabel, $label, 0, chainId: $chain->id);
        $draft->set(SettingKey::ChainHome, $bike->id, 0, chainId: $chain->id);

        return $chain;
    }

    private function swap(Draft $draft, Bike $bike, Chain $chain, int $atS): void
    {
        $draft->enter(Dip::class, new Moment($atS), ['component_id' => $chain->id]);
        $draft->enter(Reading::class, new Moment($atS), [
            'component_id' => $chain->id,
            'input' => ['kind' => 'digital', 'value_pct' => 0.1],
        ]);
        $draft->enter(Fitting::class, new Moment($atS + 60), ['bike_id' => $bike->id, 'component_id' => $chain->id]);
    }
}
