<?php

declare(strict_types=1);

namespace App\Archive;

use App\Cost\ReadCosts;
use App\Logbook\ReadBook;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Strip\ReadJars;
use App\Text\Translator;
use App\Wear\ReadWear;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Strip\JarState;

/** What a logbook says: by name, so that those of two databases, or of before and after, can be held against each other. */
final readonly class Figures
{
    public function __construct(
        private ReadBook $readBook,
        private ReadJars $readJars,
        private ReadBaths $readBaths,
        private ReadCosts $readCosts,
        private ReadWear $readWear,
    ) {}

    /** @return array<string, list<mixed>> */
    public function of(Workshop $workshop, int $nowS): array
    {
        $book = ($this->readBook)($workshop);
        $names = Translator::of($workshop, $this->readBook, $nowS)->names;
        $spent = ($this->readCosts)($workshop)->sum();
        $figures = ['money' => [$spent->minor(), $spent->km], 'rides' => [count($book->rides())]];
        foreach ($book->chainIds as $id) {
            $figures["chain {$names->fullChain($id)}"] = [
                ...self::chain($book, $id, $nowS),
                $this->readWear->of($book, $nowS)->of($id)?->result->toArray(),
                $names->bike($book->fittings()->bikeOf($id, $nowS)),
            ];
        }
        foreach (($this->readJars)($workshop) as $id => $jar) {
            $figures["jar {$names->jar($id)}"] = self::jar($jar);
        }
        foreach (($this->readBaths)($workshop) as $id => $bath) {
            $figures["pot {$names->pot($id)}"] = [$bath->ledger?->toArray(), $bath->limitC, $bath->problem];
        }
        foreach ($book->parts as $part) {
            $state = $book->inventory()->part($part->id, $nowS);
            $figures["part {$part->kind->value} " . count($figures)] = [$state->km->km, $state->closings];
        }

        return $figures;
    }

    /** @return list<mixed> */
    private static function chain(Book $book, int $id, int $nowS): array
    {
        $chain = $book->chain($id, $nowS);

        return [
            $chain->status->value,
            $chain->km->km,
            $chain->km->whole,
            $chain->hours,
            $chain->leftKm(),
            $chain->wax->cycleKm()->km,
            $chain->dips,
            $chain->wax->topUps,
            $chain->wear->result?->toArray(),
            $chain->wear->atKm?->km,
        ];
    }

    /** @return list<mixed> */
    private static function jar(JarState $jar): array
    {
        return [$jar->role->value, $jar->solvent?->value, $jar->volumeMl, round($jar->greaseG, 9), $jar->cleanings, $jar->settlingS];
    }
}
