<?php

declare(strict_types=1);

use App\Archive\Backups;
use Symfony\Component\Process\Exception\ProcessFailedException;
use Symfony\Component\Process\Process;

beforeEach(function (): void {
    $this->folder = sys_get_temp_dir() . '/dripel-crash-' . bin2hex(random_bytes(5));
    mkdir($this->folder);
    $this->file = "{$this->folder}/test.sqlite";
    touch($this->file);
    $this->env = [
        'APP_ENV' => 'testing',
        'APP_KEY' => 'base64:' . base64_encode(str_repeat('k', 32)),
        'DB_DATABASE' => $this->file,
        'APP_CONFIG_CACHE' => "{$this->folder}/none.php",
        'APP_ROUTES_CACHE' => "{$this->folder}/none.php",
        'DRIPEL_BACKUPS' => "{$this->folder}/backups",
        'DRIPEL_DEMO' => 'true',
    ];
    $this->php = function (string ...$command): string {
        $process = new Process([PHP_BINARY, ...$command], base_path(), $this->env, null, 120);
        $process->mustRun();

        return $process->getOutput();
    };
    $this->kill = function (string ...$crash): void {
        $process = new Process([PHP_BINARY, base_path('tests/Feature/Archive/crash.php'), ...$crash], base_path(), $this->env, null, 120);
        $process->start();
        $process->waitUntil(fn(string $type, string $text) => str_contains($text, 'ready'));
        $process->signal(SIGKILL);
        $process->wait();
    };
    $this->count = fn(string $sql) => (int) (new PDO("sqlite:{$this->file}"))->query($sql)->fetchColumn();
    $this->whole = fn() => expect((new PDO("sqlite:{$this->file}"))->query('pragma integrity_check')->fetchColumn())->toBe('ok');
});

afterEach(fn() => (new Process(['rm', '-rf', $this->folder]))->run());

it('keeps what was acknowledged and nothing half when the machine dies during an action or an import', function (): void {
    ($this->php)('artisan', 'dripel:migrate');
    ($this->php)('artisan', 'dripel:demo', '--today=2026-11-25T12:20:00+01:00');
    $rides = ($this->count)('select count(*) from rides');
    ($this->kill)('action', 'insert into "noises"', '1');
    ($this->whole)();
    expect(($this->count)('select count(*) from rides'))
        ->toBe($rides)
        ->and(($this->count)('select count(*) from rides where km = 77.77'))
        ->toBe(0)
        ->and(($this->php)('tests/Feature/Archive/crash.php', 'action', 'never', '1'))
        ->toContain('done')
        ->and(($this->count)('select count(*) from rides where km = 77.77'))
        ->toBe(1);

    // An import of the whole workshop into an empty one beside it.
    $file = "{$this->folder}/w.json";
    ($this->php)('tests/Feature/Archive/crash.php', 'export', 'never', '1', $file);
    (new PDO("sqlite:{$this->file}"))->exec('insert into workshops (revision, demo) values (0, 0)');
    $before = ($this->count)('select count(*) from rides');
    ($this->kill)('import', 'insert into "rides"', '3', $file);
    ($this->whole)();
    expect(($this->count)('select count(*) from rides'))
        ->toBe($before)
        ->and(($this->count)('select count(*) from actions where workshop_id != 1'))
        ->toBe(0)
        ->and(($this->php)('tests/Feature/Archive/crash.php', 'import', 'never', '1', $file))
        ->toContain('done')
        ->and(($this->count)('select count(*) from rides'))
        ->toBe(2 * $before);
});

it('migrates the data of the version before, all steps or none, after a backup', function (): void {
    // As the first version left it.
    foreach (glob(database_path('migrations/2026_11_25_*')) as $migration) {
        ($this->php)('artisan', 'migrate', '--force', '--path=' . str_replace(base_path() . '/', '', $migration));
    }
    $old = new PDO("sqlite:{$this->file}");
    $old->exec("insert into workshops (id, revision, demo) values (1, 3, 0); insert into actions (id, workshop_id, kind, recorded_at, revision, about, effects) values ('a', 1, 'log_ride', 1, 1, '{}', '[]');
        insert into bikes (id, workshop_id, action_id, sequence) values (1, 1, 'a', 1); insert into rides (at, bike_id, km, condition, workshop_id, action_id, sequence) values (5, 1, 12.5, 'dry', 1, 'a', 1);
        insert into fittings (at, bike_id, workshop_id, action_id, sequence) values (4, 1, 1, 'a', 1)");
    $tables = ($this->count)("select count(*) from sqlite_master where type = 'table'");
    $old = null;
    ($this->kill)('migration', 'alter table "fittings"', '1');
    ($this->whole)();
    expect(($this->count)("select count(*) from sqlite_master where type = 'table'"))
        ->toBe($tables)
        ->and(glob("{$this->folder}/backups/*.sqlite"))
        ->toHaveCount(1);
    ($this->php)('artisan', 'dripel:migrate');
    expect(($this->count)("select count(*) from rides where km = 12.5 and bike_id = 1 and condition = 'dry'"))
        ->toBe(1)
        ->and(($this->count)("select count(*) from fittings where slot = 'chain'"))
        ->toBe(1)
        ->and(($this->count)('select count(*) from pragma_foreign_key_check'))
        ->toBe(0)
        ->and(($this->count)("select count(*) from pragma_table_info('rides') where name = 'bike_id' and \"notnull\" = 0"))
        ->toBe(1);
});

it('backs up a database in use, consistently, lets the oldest go, and puts it back with one command', function (): void {
    ($this->php)('artisan', 'dripel:migrate');
    (new PDO("sqlite:{$this->file}"))->exec('create table pairs (a, b); pragma journal_mode = wal');
    // A writer that keeps two rows alike, in one transaction each time, as fast as it can.
    $writer = new Process([
        PHP_BINARY,
        '-r',
        '$d = new PDO("sqlite:' .
        $this->file .
        '"); $d->setAttribute(PDO::ATTR_ERRMODE, PDO::ERRMODE_EXCEPTION); $d->exec("pragma busy_timeout = 10000"); for ($i = 0;; $i++) { $d->exec("begin immediate"); $d->exec("insert into pairs values ($i, 1)"); $d->exec("insert into pairs values ($i, 2)"); $d->exec("commit"); if ($i === 0) echo "on"; }',
    ]);
    $writer->setTimeout(120);
    $writer->start();
    $writer->waitUntil(fn(string $type, string $text) => str_contains($text, 'on'));
    for ($i = 0; $i < 4; $i++) {
        ($this->php)('artisan', 'dripel:backup');
    }
    $writer->stop(0);
    $backups = glob("{$this->folder}/backups/*.sqlite");
    expect($backups)->toHaveCount(4);
    foreach ($backups as $backup) {
        Backups::expectSound($backup);
        expect(
            (int) (new PDO("sqlite:{$backup}"))
                ->query('select count(*) from (select a from pairs group by a having count(*) != 2)')
                ->fetchColumn(),
        )
            ->toBe(0)
            ->and((int) (new PDO("sqlite:{$backup}"))->query('select count(*) from pairs')->fetchColumn())
            ->toBeGreaterThan(0);
    }
    for ($i = 1; $i <= 14; $i++) {
        copy($backups[0], sprintf('%s/backups/test-20200101-0000%02d.sqlite', $this->folder, $i));
    }
    ($this->php)('artisan', 'dripel:backup');
    expect(glob("{$this->folder}/backups/*.sqlite"))->toHaveCount(14);

    (new PDO("sqlite:{$this->file}"))->exec('delete from pairs');
    file_put_contents("{$this->folder}/cut.sqlite", substr((string) file_get_contents($backups[0]), 0, 40_000));
    expect(fn() => ($this->php)('artisan', 'dripel:restore', "{$this->folder}/cut.sqlite"))
        ->toThrow(ProcessFailedException::class)
        ->and(($this->count)('select count(*) from pairs'))
        ->toBe(0);
    ($this->php)('artisan', 'dripel:restore', $backups[3]);
    expect(($this->count)('select count(*) from pairs'))->toBeGreaterThan(0);
});
