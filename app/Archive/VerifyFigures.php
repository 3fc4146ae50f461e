<?php

declare(strict_types=1);

namespace App\Archive;

use App\Logbook\PastRides;
use App\Logbook\ReadBook;
use App\Logbook\Snapshots;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\ReadTransaction;
use Dripel\Core\Logbook\RideRun;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

/** Holds what pages say against the same worked out from the entries alone; what is kept packed is thrown away where they differ. */
final readonly class VerifyFigures
{
    public function __construct(
        private Figures $figures,
        private ReadBook $readBook,
        private AppClock $clock,
        private Repository $cache,
        private Snapshots $snapshots,
    ) {}

    /** @return list<string> of what the figures differ; empty: all are the same */
    public function __invoke(Workshop $workshop): array
    {
        // Of one instant, whoever writes meanwhile; and nobody waits for it.
        [$said, $true] = ReadTransaction::run(
            DB::connection(),
            fn() => [$this->all($workshop, false), $this->readBook->byRowsAlone(fn() => $this->all($workshop, true))],
        );
        $differ = array_values(
            array_filter(
                array_map(strval(...), array_keys($said + $true)),
                fn(string $of) => serialize($said[$of] ?? null) !== serialize($true[$of] ?? null),
            ),
        );
        if ($differ !== []) {
            PastRides::forget($workshop);
            $this->snapshots->forget($workshop);
        }
        $this->cache->forever(self::key($workshop), [$this->clock->unixS(), $differ === []]);

        return $differ;
    }

    /** @return array{int, bool}|null when it was last done, Unix seconds, and whether all were the same */
    public function last(Workshop $workshop): ?array
    {
        /** @var array{int, bool}|null */
        return $this->cache->get(self::key($workshop));
    }

    /** @return array<string, mixed> by what they are of */
    private function all(Workshop $workshop, bool $byRowsAlone): array
    {
        $byRowsAlone || $this->readBook->forget();
        $runs = PastRides::runs($workshop, $byRowsAlone);
        ksort($runs);

        return $this->figures->of($workshop, $this->clock->unixS()) + ['each ride' => array_map(fn(RideRun $run) => $run->packed(), $runs)];
    }

    private static function key(Workshop $workshop): string
    {
        return "verified.{$workshop->id}";
    }
}
