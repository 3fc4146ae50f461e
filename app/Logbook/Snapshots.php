<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Workshop;
use App\Support\ReadTransaction;
use App\Support\SnapshotMemo;
use Dripel\Core\Logbook\FillIn;
use Dripel\Core\Logbook\Snapshot;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

/**
 * What was worked out from the logbook of a workshop, kept until it changes. It is derived: the stamp names the last action, the last
 * commute that began by itself and the code that worked it out, and what has another stamp is never read.
 */
final class Snapshots
{
    /** Besides events: whatever is of an instant, and something follows from. */
    private const TABLES = [
        EntryType::Setting,
        EntryType::Fitting,
        EntryType::Ride,
        EntryType::Estimate,
        EntryType::Price,
        EntryType::JarEntry,
        EntryType::Bath,
        EntryType::BathEntry,
    ];

    /** @var array<int, SnapshotMemo> by workshop: of the state that was read last, however long a process runs */
    private array $memos = [];

    public function __construct(private readonly Repository $cache) {}

    /**
     * Of the logbook that is read from now on; null where it is not certain which that is: the workshop has moved on since it was looked
     * up, or something is being written or tried.
     */
    public function of(Workshop $workshop, FillIn $fillIn): ?Snapshot
    {
        if (DB::transactionLevel() > ReadTransaction::$outermost && !ReadTransaction::runs()) {
            return null;
        }
        $at = DB::selectOne(
            'select revision, (select id from actions where workshop_id = workshops.id order by revision desc limit 1) as action from workshops where id = ?',
            [$workshop->id],
        );
        if ($at === null || (int) $at->revision !== $workshop->revision || $at->action === null) {
            return null;
        }
        $stamp = implode(' ', [$at->revision, $at->action, $fillIn->lastCommuteS(), config()->string('dripel.code')]);
        $memo = $this->memos[$workshop->id] ?? null;
        $memo = $memo?->stamp === $stamp ? $memo : new SnapshotMemo($this->cache, self::name($workshop), $stamp);
        $this->memos[$workshop->id] = $memo;

        return new Snapshot($memo, fn(): int => max(self::lastS($workshop), $fillIn->lastCommuteS()));
    }

    public function keep(): void
    {
        array_walk($this->memos, fn(SnapshotMemo $memo) => $memo->keep());
    }

    public function forget(Workshop $workshop): void
    {
        unset($this->memos[$workshop->id]);
        SnapshotMemo::forget($this->cache, self::name($workshop));
    }

    /** The last instant of any entry in force that a state may follow from. */
    private static function lastS(Workshop $workshop): int
    {
        $tables = [...self::TABLES, ...EntryType::events()];
        $each = array_map(
            fn(EntryType $type) => "select max(at) as at from {$type->value} where workshop_id = {$workshop->id} and voided_by is null",
            $tables,
        );

        return (int) DB::scalar('select max(at) from (' . implode(' union all ', $each) . ') as latest');
    }

    private static function name(Workshop $workshop): string
    {
        return "snapshot {$workshop->id}";
    }
}
