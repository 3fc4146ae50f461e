<?php

declare(strict_types=1);

use App\Archive\Backups;
use Symfony\Component\Process\Process;
use Tests\DatabaseFile;

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
    $this->fails = function (string ...$command): string {
        $process = new Process([PHP_BINARY, ...$command], base_path(), $this->env, null, 120);
        expect($process->run())->toBe(1);

        return trim($process->getOutput() . $process->getErrorOutput());
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
    copy(DatabaseFile::withDemo(), $this->file);
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
        ->and(glob("{$this->folder}/backups/before/*.sqlite"))
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
        copy($backups[0], sprintf('%s/backups/test-20290101-0000%02d.sqlite', $this->folder, $i));
    }
    // Kept by the order of their making: a clock that stands in the past deletes neither the newest nor the one just made.
    $this->env['DRIPEL_CLOCK_START'] = '2020-02-02T02:02:02Z';
    $made = trim(($this->php)('artisan', 'dripel:backup'));
    $kept = glob("{$this->folder}/backups/*.sqlite");
    expect($kept)
        ->toHaveCount(14)
        ->toContain($made)
        ->toContain($backups[3])
        ->and(basename($made))
        ->toBe('test-000005-20200202-020202.sqlite')
        ->and(substr(sprintf('%o', fileperms($made)), -4))
        ->toBe('0600');
    unset($this->env['DRIPEL_CLOCK_START']);
    // Onto another disk, checked too; one that is not plugged in is said.
    mkdir("{$this->folder}/disk");
    $there = trim(($this->php)('artisan', 'dripel:backup', "--to={$this->folder}/disk"));
    Backups::expectSound($there);
    expect(dirname($there))
        ->toBe("{$this->folder}/disk")
        ->and(($this->fails)('artisan', 'dripel:backup', "--to={$this->folder}/no-disk"))
        ->toBe("There is no folder {$this->folder}/no-disk. Is that disk plugged in?");

    (new PDO("sqlite:{$this->file}"))->exec('delete from pairs');
    file_put_contents("{$this->folder}/cut.sqlite", substr((string) file_get_contents($backups[0]), 0, 40_000));
    expect(($this->fails)('artisan', 'dripel:restore', "{$this->folder}/cut.sqlite"))
        ->toBe("{$this->folder}/cut.sqlite is no sound database of Dripel.")
        ->and(($this->count)('select count(*) from pairs'))
        ->toBe(0);
    ($this->php)('artisan', 'dripel:restore', $backups[3]);
    expect(($this->count)('select count(*) from pairs'))->toBeGreaterThan(0);
});

it('restores a database that is damaged, cut or gone, and keeps what was there', function (Closure $damage, bool $kept): void {
    copy(DatabaseFile::withDemo(), $this->file);
    $rides = ($this->count)('select count(*) from rides');
    $backup = trim(($this->php)('artisan', 'dripel:backup'));
    $damage($this->file);
    $damaged = is_file($this->file) ? md5_file($this->file) : null;
    // What cannot be copied is not counted among the backups, and nothing half stays.
    expect(($this->fails)('artisan', 'dripel:backup'))
        ->not->toContain('#0')
        ->and(glob("{$this->folder}/backups/*"))
        ->toBe([$backup]);
    $said = ($this->php)('artisan', 'dripel:restore');
    expect($said)
        ->toContain("Restored and checked: {$backup}.")
        ->toContain('Everybody signs in again')
        ->and(($this->count)('select count(*) from rides'))
        ->toBe($rides);
    ($this->whole)();
    $aside = array_values(
        array_filter(glob("{$this->file}-damaged-*"), fn(string $file) => !str_ends_with($file, '-wal') && !str_ends_with($file, '-shm')),
    );
    expect($aside)
        ->toHaveCount($kept ? 1 : 0)
        ->and($kept ? md5_file($aside[0]) : null)
        ->toBe($kept ? $damaged : null);
})->with([
    'gone' => [fn(string $file) => array_map(fn(string $one) => unlink($one), glob("{$file}*")), false],
    'empty' => [fn(string $file) => file_put_contents($file, ''), true],
    'cut short' => [fn(string $file) => file_put_contents($file, substr((string) file_get_contents($file), 0, 300_000)), true],
    'something else' => [fn(string $file) => file_put_contents($file, random_bytes(100_000)), true],
    'a page overwritten' => [
        function (string $file): void {
            (new PDO("sqlite:{$file}"))->exec('pragma wal_checkpoint(truncate)');
            $handle = fopen($file, 'r+');
            foreach (range(1, 40) as $page) {
                fseek($handle, $page * 4096);
                fwrite($handle, str_repeat("\xAA", 4096));
            }
            fclose($handle);
        },
        true,
    ],
]);

it('keeps revoked what was revoked since the backup: sign-ins, tokens, calendars, people, passwords', function (): void {
    copy(DatabaseFile::withDemo(), $this->file);
    $db = new PDO("sqlite:{$this->file}");
    $db->exec("insert into users (id, name, email, password, workshop_id) values (7, 'Guest', 'guest@test.example', 'old', 1);
        insert into memberships (workshop_id, user_id, role, calendar_hash) values (1, 7, 'member', 'theirs');
        update memberships set calendar_hash = 'mine' where user_id = 1;
        insert into users (id, name, email, password, workshop_id, opens_workshops) values (8, 'Mate', 'mate@test.example', 'old', 1, true);
        insert into memberships (workshop_id, user_id, role) values (1, 8, 'member');
        insert into devices (id, workshop_id, kind, name, added_at) values (901, 1, 'gauge', 'a', 1), (902, 1, 'gauge', 'b', 1);
        insert into invitations (workshop_id, invited_by, role, token_hash, expires_at)
            values (1, 1, 'member', 'used', 9e9), (1, 1, 'member', 'open', 9e9);
        insert into sign_ins (user_id, token_hash, phone, address, expires_at, seen_at)
            values (1, 'stays', 0, '', 9e9, 1), (1, 'lost', 1, '', 9e9, 1);
        insert into passkeys (user_id, credential, public_key, counter, host, phone, added_at)
            values (1, 'stays', '', 0, '', 0, 1), (1, 'lost', '', 0, '', 0, 1);
        insert into personal_access_tokens (tokenable_type, tokenable_id, name, token)
            values ('App\Models\Device', 901, 'a', 'stays'), ('App\Models\Device', 902, 'b', 'lost')");
    $db = null;
    $backup = trim(($this->php)('artisan', 'dripel:backup'));
    (new PDO(
        "sqlite:{$this->file}",
    ))->exec("delete from sign_ins where token_hash = 'lost'; delete from personal_access_tokens where token = 'lost';
        delete from passkeys where credential = 'lost';
        update memberships set calendar_hash = null where user_id = 1; delete from memberships where user_id = 7;
        update memberships set role = 'viewer' where user_id = 8; update invitations set accepted_by = 8 where token_hash = 'used';
        update users set opens_workshops = (id = 1);
        update users set password = 'new' where id = 1; update users set workshop_id = null where id = 7");
    $said = ($this->php)('artisan', 'dripel:restore', $backup);
    $all = fn(string $sql) => (new PDO("sqlite:{$this->file}"))->query($sql)->fetchAll(PDO::FETCH_COLUMN);
    expect($said)
        ->toContain('What was switched off since stays off')
        ->and($all('select token_hash from sign_ins'))
        ->toBe(['stays'])
        ->and($all('select token from personal_access_tokens'))
        ->toBe(['stays'])
        ->and($all('select credential from passkeys'))
        ->toBe(['stays'])
        ->and($all('select calendar_hash from memberships'))
        ->toBe([null, null])
        ->and($all("select user_id || ' ' || role from memberships order by user_id"))
        ->toBe(['1 owner', '8 viewer'])
        ->and($all('select id from devices where id > 900 and gone_at is null'))
        ->toEqual([901])
        ->and($all('select token_hash from invitations'))
        ->toBe(['open'])
        ->and($all('select id from users where opens_workshops'))
        ->toEqual([1])
        ->and($all('select password from users where id = 1'))
        ->toBe(['new'])
        ->and($all('select workshop_id from users where id = 7'))
        ->toBe([null])
        ->and(glob("{$this->folder}/backups/before/*.sqlite"))
        ->toHaveCount(1);
});
