<?php

declare(strict_types=1);

namespace App\Actions\Arriving;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Fitting;
use App\Models\Opening;
use App\Models\Part;
use App\Models\Reading;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Opening as CoreOpening;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Slot;
use Dripel\Core\Wear\WearReading;

/** Bikes and used parts come into the workshop, with what is known of them at one moment. All of it is one action. */
final readonly class Arrive
{
    public function __construct(private Ledger $ledger, private FreeNames $freeNames, private ReadBook $readBook) {}

    /**
     * Refused with NotPossible or InvalidInput at `bikes.N.…` or `bikes.N.parts.M.…`.
     *
     * @param list<ArrivingBike> $arrivals
     */
    public function __invoke(ActionContext $by, array $arrivals, Moment $at): Action
    {
        return $this->ledger->record($by, ActionKind::Arrive, function (Draft $draft) use ($arrivals, $at): About {
            [$bikes, $arrived, $count] = [[], [], 0];
            foreach ($arrivals as $n => $arrival) {
                $bike =
                    $arrival->bike instanceof Bike ? $arrival->bike : $this->at("bikes.{$n}", fn() => $this->bike($draft, $arrival->bike));
                $bikes[] = $bike->id;
                $chains = $this->chainsOn($draft, $bike);
                // Quick links come after the chains that they close.
                $parts = $arrival->parts;
                uasort(
                    $parts,
                    fn(ArrivingPart $a, ArrivingPart $b) => ($a->kind === PartKind::QuickLink->value) <=>
                        ($b->kind === PartKind::QuickLink->value),
                );
                foreach ($parts as $m => $part) {
                    $where = "bikes.{$n}.parts.{$m}";
                    if ($part->kind === Chain::KIND) {
                        $chain = $this->at($where, fn() => $this->chain($draft, $bike, $part, $at));
                        $chains[$part->label] = $chain->id;
                        $arrived[] = $chain->id;
                        $count += $part->hasLink() ? 1 : 0;
                    } else {
                        $this->at($where, fn() => $this->part($draft, $bike, $part, $at, $chains));
                        $count++;
                    }
                }
            }

            return new About(bikes: $bikes, chains: $arrived, at: $at->unixS, parts: $count);
        });
    }

    /** @param array<string, string|int|float|list<mixed>|null> $settings */
    private function bike(Draft $draft, array $settings): Bike
    {
        $name = $settings[SettingKey::BikeName->value];
        $this->freeNames->expect($draft->workshop, Bike::class, is_string($name) ? $name : '');
        $bike = $draft->create(Bike::class);
        foreach ($settings as $key => $value) {
            $draft->set(SettingKey::from($key), $value, 0, bikeId: $bike->id);
        }
        $this->readBook->forget();

        return $bike;
    }

    private function chain(Draft $draft, Bike $bike, ArrivingPart $part, Moment $at): Chain
    {
        $this->freeNames->expectChain($draft->workshop, $bike->id, $part->label);
        $chain = $draft->create(Chain::class, ['kind' => Chain::KIND]);
        $draft->set(SettingKey::ChainLabel, $part->label, 0, chainId: $chain->id);
        $draft->set(
            SettingKey::ChainSpeeds,
            $part->speeds ?? $this->readBook->settings($draft->workshop)->whole(SettingKey::BikeSpeeds, $bike->id, 1),
            0,
            chainId: $chain->id,
        );
        $draft->set(SettingKey::ChainPitches, $part->pitches, 0, chainId: $chain->id);
        $draft->set(SettingKey::ChainHome, $bike->id, 0, chainId: $chain->id);
        $part->new || $this->open($draft, $chain->id, $part, $at);
        if ($part->reading !== null) {
            (new WearReading())(WearReading::input(Fields::fromJson((string) json_encode($part->reading))));
            $draft->enter(Reading::class, $at, ['component_id' => $chain->id, 'input' => $part->reading]);
        }
        if ($part->fitted) {
            $on = $this->readBook->withoutRides($draft->workshop)->fittings()->componentOn($bike->id, $at->unixS);
            $on === null || throw new NotPossible('fitted', 'one_chain_on');
            $draft->enter(Fitting::class, $at, ['bike_id' => $bike->id, 'component_id' => $chain->id]);
        }
        if ($part->hasLink()) {
            $link = new ArrivingPart(
                PartKind::QuickLink->value,
                $part->label,
                closings: $part->closings,
                closingsAllowed: $part->closingsAllowed,
            );
            $this->part($draft, $bike, $link, $at, [$part->label => $chain->id]);
        }
        $this->readBook->forget();

        return $chain;
    }

    /** @param array<string, int> $chains by letter */
    private function part(Draft $draft, Bike $bike, ArrivingPart $arriving, Moment $at, array $chains): void
    {
        $kind = PartKind::from($arriving->kind);
        $part = $draft->create(Part::class, ['kind' => $kind->value]);
        if ($kind === PartKind::QuickLink) {
            $chainId = $chains[$arriving->label] ?? throw new NotPossible('label', 'no_such_letter', ['label' => $arriving->label]);
            $draft->set(SettingKey::LinkChain, $chainId, 0, chainId: $part->id);
            $draft->set(SettingKey::LinkClosings, $arriving->closingsAllowed, 0, chainId: $part->id);
        } else {
            $slot = Slot::from($kind->value);
            $this->readBook->withoutRides($draft->workshop)->fittingsOf($slot)->componentOn($bike->id, $at->unixS) === null ||
                throw new NotPossible('fitted', 'one_part_on');
            $draft->set(SettingKey::PartName, $arriving->label, 0, chainId: $part->id);
            $draft->enter(Fitting::class, $at, ['bike_id' => $bike->id, 'component_id' => $part->id, 'slot' => $slot]);
        }
        $arriving->new || $this->open($draft, $part->id, $arriving, $at);
    }

    private function open(Draft $draft, int $componentId, ArrivingPart $part, Moment $at): void
    {
        new CoreOpening(0, $at, $componentId, $part->km, $part->wax, $part->sinceWaxKm, $part->closings);
        $draft->enter(Opening::class, $at, [
            'component_id' => $componentId,
            'km' => $part->km,
            'wax' => $part->wax,
            'since_wax_km' => $part->sinceWaxKm,
            'closings' => $part->closings,
        ]);
    }

    /** @return array<string, int> the chains of a bike's rail by letter */
    private function chainsOn(Draft $draft, Bike $bike): array
    {
        $book = $this->readBook->withoutRides($draft->workshop);
        $chains = [];
        foreach ($book->chainIds as $chainId) {
            if ($book->settings->home($chainId, PHP_INT_MAX) === $bike->id) {
                $chains[$book->settings->text(SettingKey::ChainLabel, $chainId)] = $chainId;
            }
        }

        return $chains;
    }

    /**
     * @template T
     *
     * @param callable(): T $work
     *
     * @return T
     */
    private function at(string $where, callable $work): mixed
    {
        try {
            return $work();
        } catch (NotPossible $e) {
            throw new NotPossible("{$where}.{$e->field}", $e->reason, $e->parameters);
        } catch (InvalidInput $e) {
            throw $e->within($where);
        }
    }
}
