<?php

declare(strict_types=1);

namespace Tests\Faults;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/** What can befall an installation, tried out: killed while it writes, a disk that fills up, a wrong clock, a file that is damaged. */
final readonly class Trials
{
    private const KEPT = 14;

    private Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** kill -9 at any moment between two rides or in the middle of one. */
    public function kill(int $tries): Verdict
    {
        $machine = Machine::withDemo();
        [$verdict, $acknowledged] = [new Verdict(), []];
        for ($try = 0; $try < $tries; $try++) {
            $writer = $machine->php(['tests/Faults/writer.php']);
            $writer->start();
            $writer->waitUntil(fn(string $type, string $text) => str_contains($text, 'ready'));
            usleep($this->random->getInt(1_000, 400_000));
            $writer->signal(SIGKILL);
            $writer->wait();
            $acknowledged = [...$acknowledged, ...self::said($writer)];
            $verdict = $verdict->and($machine->verdict($acknowledged));
        }
        $machine->remove();

        return $verdict->and(new Verdict(note: count($acknowledged) . ' rides acknowledged'));
    }

    /** Rides until the disk is full; then everything is read, and once there is room again it goes on. */
    public function disk(int $tries): Verdict
    {
        $demo = Machine::withDemo();
        [$verdict, $rides] = [new Verdict(), 0];
        for ($try = 0; $try < $tries; $try++) {
            $folder = "{$demo->folder}/disk";
            is_dir($folder) || mkdir($folder);
            $bytes = (int) filesize($demo->database) + $this->random->getInt(100, 700) * 4096;
            if ((new Process(['mount', '-t', 'tmpfs', '-o', "size={$bytes}", 'tmpfs', $folder]))->run() !== 0) {
                $demo->remove();

                return new Verdict(note: 'skipped: no small disk can be mounted here (it takes root)');
            }
            copy($demo->database, "{$folder}/dripel.sqlite");
            $machine = new Machine($folder);
            // Another process has the file open, as the server's have.
            $open = $machine->php([
                '-r',
                '(new PDO("sqlite:".getenv("DB_DATABASE")))->query("select count(*) from rides"); echo "on"; sleep(60);',
            ]);
            $open->start();
            $open->waitUntil(fn(string $type, string $text) => str_contains($text, 'on'));
            $writer = $machine->php(['tests/Faults/writer.php', '4000']);
            $full = $writer->run() !== 0;
            $acknowledged = self::said($writer);
            $rides += count($acknowledged);
            $readable = $machine->php(['tests/Feature/Archive/crash.php', 'figures'])->run() === 0;
            [$code, $said] = $machine->artisan(['dripel:backup']);
            $left = glob("{$folder}/{,backups/,backups/.}*.part", GLOB_BRACE) ?: [];
            $words = $code !== 0 && preg_match('/no room|Is the disk full/', $said) === 1 && !str_contains($said, '#0');
            $verdict = $verdict
                ->and($machine->verdict($acknowledged))
                ->and(new Verdict(half: ($full && $readable && $words ? 0 : 1) + count($left)));
            $open->stop(0);
            (new Process(['umount', '-l', $folder]))->run();
        }
        $demo->remove();

        return $verdict->and(new Verdict(note: "{$rides} rides acknowledged before the disks were full"));
    }

    /** A backup each time, with a clock that stands anywhere between 1990 and 2060. */
    public function clock(int $tries): Verdict
    {
        $machine = Machine::withDemo();
        [$verdict, $made] = [new Verdict(), []];
        for ($try = 0; $try < $tries; $try++) {
            $at = gmdate('Y-m-d\TH:i:s\Z', $this->random->getInt(631_152_000, 2_840_140_800));
            [$code, $said] = $machine->artisan(['dripel:backup'], ['DRIPEL_CLOCK_START' => $at]);
            $made[] = trim($said);
            $kept = glob("{$machine->folder}/backups/*.sqlite") ?: [];
            $should = array_slice($made, -self::KEPT);
            sort($should);
            $verdict = $verdict->and(new Verdict(1, count(array_diff($should, $kept)), 0, $code + count(array_diff($kept, $should))));
        }
        $machine->remove();

        return $verdict->and(new Verdict(note: 'the last ' . self::KEPT . ' kept, by the order of their making'));
    }

    /** The file damaged in one of many ways; found, set aside and restored. */
    public function damage(int $tries): Verdict
    {
        $machine = Machine::withDemo();
        $machine->artisan(['dripel:backup']);
        $figures = $machine->figures();
        [$verdict, $unnoticed] = [new Verdict(), 0];
        for ($try = 0; $try < $tries; $try++) {
            $this->spoil($machine->database);
            [$sound, $said] = $machine->artisan(['dripel:check']);
            if ($sound === 0 && is_file($machine->database) && filesize($machine->database) > 0) {
                // What was hit was of no table: an empty page, or bytes between two rows.
                $unnoticed++;
            }
            [$code, $told] = $machine->artisan(['dripel:restore']);
            $trace = preg_match('/#0 |Stack trace/', $said . $told);
            $back = $code === 0 && $machine->figures() === $figures;
            $verdict = $verdict->and(new Verdict(1, $back ? 0 : 1, 0, ($trace === 1 ? 1 : 0) + ($machine->isSound() ? 0 : 1)));
        }
        $machine->remove();

        return $verdict->and(new Verdict(note: "{$unnoticed} went unnoticed and hit nothing that is read"));
    }

    /** Workshop files with something in them that nobody would write. */
    public function fuzz(int $tries): Verdict
    {
        $process = new Process(
            [PHP_BINARY, 'vendor/bin/pest', 'tests/Feature/Archive/FuzzTest.php', '--compact', '--colors=never'],
            dirname(__DIR__, 2),
            ['DRIPEL_FUZZ' => (string) $tries, 'DRIPEL_FUZZ_SEED' => (string) $this->random->getInt(1, 1_000_000)],
            null,
            null,
        );
        $failed = $process->run() !== 0;
        preg_match('/accepted \d+/', $process->getOutput() . $process->getErrorOutput(), $accepted);
        !$failed || fwrite(STDERR, $process->getOutput());

        return new Verdict($tries, 0, 0, $failed ? 1 : 0, ($accepted[0] ?? 'none accepted') . ', no page broken, no trace');
    }

    private function spoil(string $file): void
    {
        array_map(fn(string $log) => is_file($file . $log) && unlink($file . $log), ['-wal', '-shm']);
        $bytes = (int) filesize($file);
        match ($this->random->getInt(0, 5)) {
            0 => unlink($file),
            1 => file_put_contents($file, ''),
            2 => file_put_contents($file, $this->random->getBytes($this->random->getInt(1, 200_000))),
            3 => file_put_contents($file, substr((string) file_get_contents($file), 0, $this->random->getInt(1, $bytes - 1))),
            default => $this->overwrite($file, $bytes),
        };
    }

    private function overwrite(string $file, int $bytes): void
    {
        $handle = fopen($file, 'r+');
        for ($times = $this->random->getInt(1, 60); $handle !== false && $times > 0; $times--) {
            fseek($handle, $this->random->getInt(0, $bytes - 1));
            fwrite($handle, $this->random->getBytes($this->random->getInt(1, 4096)));
        }
        $handle === false || fclose($handle);
    }

    /** @return list<string> the ids that it acknowledged, whole lines only */
    private static function said(Process $writer): array
    {
        preg_match_all('/^([0-9a-f-]{36})\n/m', $writer->getOutput(), $ids);

        return $ids[1];
    }
}
