<?php

declare(strict_types=1);

namespace Tests\Faults;

use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tests\DatabaseFile;

/** An installation of its own in a folder, with the demo in it. */
final class Machine
{
    public readonly string $database;

    /** @var array<string, string> */
    private array $env;

    public function __construct(public readonly string $folder)
    {
        is_dir($folder) || mkdir($folder, 0o700, true);
        $this->database = "{$folder}/dripel.sqlite";
        $this->env = [
            'APP_ENV' => 'testing',
            'APP_KEY' => 'base64:' . base64_encode(str_repeat('k', 32)),
            'DB_DATABASE' => $this->database,
            'APP_CONFIG_CACHE' => "{$folder}/none.php",
            'APP_ROUTES_CACHE' => "{$folder}/none.php",
            'DRIPEL_BACKUPS' => "{$folder}/backups",
            'DRIPEL_DEMO' => 'true',
            'CACHE_STORE' => 'array',
            'LOG_CHANNEL' => 'null',
        ];
    }

    public static function withDemo(): self
    {
        $machine = new self(sys_get_temp_dir() . '/dripel-faults-' . bin2hex(random_bytes(5)));
        copy(DatabaseFile::withDemo(), $machine->database);

        return $machine;
    }

    /**
     * @param list<string> $command
     * @param array<string, string> $env besides
     *
     * @return array{int, string} exit code and all that it said
     */
    public function artisan(array $command, array $env = []): array
    {
        $process = $this->php(['artisan', ...$command], $env);
        $code = $process->run();

        return [$code, $process->getOutput() . $process->getErrorOutput()];
    }

    /**
     * @param list<string> $command
     * @param array<string, string> $env besides
     */
    public function php(array $command, array $env = []): Process
    {
        return new Process([PHP_BINARY, ...$command], dirname(__DIR__, 2), $env + $this->env, null, 300);
    }

    /** @return list<mixed> the first column */
    public function ask(string $sql): array
    {
        $found = (new PDO("sqlite:{$this->database}", options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]))->query($sql);

        return $found === false ? throw new RuntimeException($sql) : array_values($found->fetchAll(PDO::FETCH_COLUMN));
    }

    public function isSound(): bool
    {
        return $this->ask('pragma integrity_check') === ['ok'] && $this->ask('select count(*) from pragma_foreign_key_check') === [0];
    }

    public function figures(): string
    {
        $process = $this->php(['tests/Feature/Archive/crash.php', 'figures']);
        $process->mustRun();

        return (string) strtok($process->getOutput(), "\n");
    }

    /**
     * What became of rides that were acknowledged.
     *
     * @param list<string> $acknowledged ids of actions
     */
    public function verdict(array $acknowledged): Verdict
    {
        $rides = array_count_values(array_map(strval(...), $this->ask('select action_id from rides where km = 0.01')));
        $actions = $this->ask("select id from actions where kind = 'log_ride'");
        $lost = count(array_diff($acknowledged, array_keys($rides)));
        $doubled = count(array_filter($rides, fn(int $times) => $times > 1));
        $half =
            ($this->isSound() ? 0 : 1) +
            count(array_diff(array_keys($rides), $actions)) +
            count(
                $this->ask(
                    "select id from actions a where kind = 'log_ride' and not exists (select 1 from rides r where r.action_id = a.id)",
                ),
            );

        return new Verdict(1, $lost, $doubled, $half);
    }

    public function remove(): void
    {
        (new Process(['rm', '-rf', $this->folder]))->run();
    }
}
