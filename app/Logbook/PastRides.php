<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\DiskTrouble;
use App\Support\LeanRows;
use App\Support\WriteTransaction;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\RideRun;
use Illuminate\Support\Facades\DB;
use UnexpectedValueException;

/**
 * The rides of earlier months as they are kept packed by bike: a page reads them as one text, not as thousands of rows. They are derived;
 * what changes one of them drops the packed ones of its bike, and reading goes by the rows until they are packed again.
 */
final readonly class PastRides
{
    private const TABLE = 'past_rides';

    /** The cut where nothing is packed: before all. */
    private const NOTHING = -(1 << 62);

    private const ASKED_S = 3600;

    /** Under which everything of a workshop is said to be packed, whether it has rides without a bike or not. */
    private const NO_BIKE = 0;

    public function __construct(private AppClock $clock) {}

    /**
     * All rides in force of a workshop, asked for at once, so that packed ones and rows are of one instant.
     *
     * @return array<int, RideRun> by bike; 0: of none yet
     */
    public static function runs(Workshop $workshop, bool $byRowsAlone = false): array
    {
        $rows =
            'select id, at, precision, sequence, bike_id, km, hours, condition, null as packed from rides where workshop_id = ? and voided_by is null';
        $all = LeanRows::all(
            $byRowsAlone
                ? $rows
                : $rows .
                    ' and at >= coalesce((select min(cut_s) from past_rides where workshop_id = ?), ' .
                    self::NOTHING .
                    ") union all select 0, cut_s, '', 0, bike_id, 0, 0, '', packed from past_rides where workshop_id = ?",
            array_fill(0, $byRowsAlone ? 1 : 3, $workshop->id),
        );
        [$later, $kept] = [[], []];
        $conditions = array_column(Condition::cases(), null, 'value');
        /** @var array{int, int, string, int, int|null, int|float|string, int|float|string|null, string, string|null} $row */
        foreach ($all as $row) {
            [$id, $at, $precision, $sequence, $bike, $km, $hours, $how, $packed] = $row;
            if ($packed === null) {
                $hours = $hours === null ? null : (float) $hours;
                $later[(int) $bike][] = [$id, $at, $sequence, (float) $km, $hours, $conditions[$how], $precision === 'day'];
            } else {
                $kept[(int) $bike] = [$at, $packed];
            }
        }
        try {
            $runs = array_map(fn(array $one, int $bike) => self::unpacked($bike, $one[1]), $kept, array_keys($kept));
        } catch (UnexpectedValueException) {
            // Of another version of Dripel, or damaged: the rows know.
            DiskTrouble::mayFail(fn() => self::forget($workshop));

            return self::runs($workshop, true);
        }
        $runs = array_combine(array_keys($kept), $runs);
        foreach ($later as $bike => $rides) {
            $cutS = $kept[$bike][0] ?? self::NOTHING;
            $rides = array_values(array_filter($rides, fn(array $ride) => $ride[1] >= $cutS));
            $rides === [] || ($runs[$bike] = ($runs[$bike] ?? self::unpacked($bike, ''))->followedBy($rides));
        }

        // In whatever order a database gives them: what is summed over bikes is summed in one.
        ksort($runs);

        return array_filter($runs, fn(RideRun $run) => count($run) > 0);
    }

    /**
     * After rides were written or voided.
     *
     * @param array<int, int> $fromS the first instant concerned, by bike; 0: of none
     */
    public static function touched(Workshop $workshop, array $fromS): void
    {
        $kept = $fromS === [] ? [] : self::kept($workshop);
        foreach ($fromS as $bike => $atS) {
            if (($kept[$bike] ?? ($kept[self::NO_BIKE] ?? self::NOTHING)) > $atS) {
                self::put($workshop, $bike, self::NOTHING, RideRun::none(null));
            }
        }
    }

    public static function forget(Workshop $workshop): void
    {
        DB::table(self::TABLE)->where('workshop_id', $workshop->id)->delete();
    }

    /** Whether there is anything to pack. */
    public function due(Workshop $workshop): bool
    {
        $kept = self::kept($workshop);

        return $kept === [] || min($kept) < $this->cutS();
    }

    /** Whether the queue is to be asked to pack: once in an hour, however much is written until it does. */
    public function ask(Workshop $workshop): bool
    {
        $nowS = $this->clock->unixS();
        $askedS = DB::table(self::TABLE)->where('workshop_id', $workshop->id)->max('asked_at');
        if (($askedS !== null && (int) $askedS > $nowS - self::ASKED_S) || !$this->due($workshop)) {
            return false;
        }
        self::asked($workshop, $nowS);

        return true;
    }

    /** The queue was asked to pack at an instant, or will be: until an hour later nobody else asks. */
    public static function asked(Workshop $workshop, int $atS): void
    {
        DB::table(self::TABLE)->upsert(
            [['workshop_id' => $workshop->id, 'bike_id' => self::NO_BIKE, 'cut_s' => self::NOTHING, 'packed' => '', 'asked_at' => $atS]],
            ['workshop_id', 'bike_id'],
            ['asked_at'],
        );
    }

    /** Packs what began before a cut: without one the start of the month before last. */
    public function keep(Workshop $workshop, ?int $cutS = null): void
    {
        $cutS ??= $this->cutS();
        WriteTransaction::run(function () use ($workshop, $cutS): void {
            $kept = self::kept($workshop);
            $runs = self::runs($workshop) + [self::NO_BIKE => RideRun::none(null)];
            foreach ($runs as $bike => $run) {
                ($kept[$bike] ?? null) === $cutS || self::put($workshop, $bike, $cutS, $run->before($cutS));
            }
            // Of a bike that has none any more.
            DB::table(self::TABLE)->where('workshop_id', $workshop->id)->where('cut_s', '<>', $cutS)->delete();
            DB::table(self::TABLE)
                ->where('workshop_id', $workshop->id)
                ->update(['asked_at' => null]);
        });
    }

    /** The start of the month before last: what is written from then on is what one still puts right. */
    private function cutS(): int
    {
        [$year, $month] = array_map(intval(...), explode('-', gmdate('Y-m', $this->clock->unixS())));

        return (int) gmmktime(0, 0, 0, $month - 2, 1, $year);
    }

    /** @return array<int, int> the cut by bike */
    private static function kept(Workshop $workshop): array
    {
        return array_map(intval(...), DB::table(self::TABLE)->where('workshop_id', $workshop->id)->pluck('cut_s', 'bike_id')->all());
    }

    private static function put(Workshop $workshop, int $bike, int $cutS, RideRun $run): void
    {
        // As text: both databases keep it alike.
        $packed = $cutS === self::NOTHING ? '' : base64_encode($run->packed());
        DB::table(self::TABLE)->upsert(
            [['workshop_id' => $workshop->id, 'bike_id' => $bike, 'cut_s' => $cutS, 'packed' => $packed]],
            ['workshop_id', 'bike_id'],
            ['cut_s', 'packed'],
        );
    }

    private static function unpacked(int $bike, string $packed): RideRun
    {
        $bikeId = $bike === self::NO_BIKE ? null : $bike;

        return $packed === '' ? RideRun::none($bikeId) : RideRun::unpacked($bikeId, (string) base64_decode($packed, true));
    }
}
