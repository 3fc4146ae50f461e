<?php

declare(strict_types=1);

namespace Tests;

use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * Databases of SQLite to be copied, empty or with the demo: each written once, by whichever process wants it first. bin/test names a folder
 * in which all its processes find them; without one each has its own.
 */
final class DatabaseFile
{
    public const NOON = '2026-11-25T12:20:00+01:00';

    private static ?string $own = null;

    /** @return string the path of one with the demo, which ends at an instant, ISO 8601 */
    public static function withDemo(string $ends = self::NOON): string
    {
        return self::written(md5($ends), ['migrate', '--force'], ['dripel:demo', "--today={$ends}"]);
    }

    /** @return string the path of one in which nobody has been yet */
    public static function empty(): string
    {
        return self::written('empty', ['migrate', '--force']);
    }

    /** @param list<string> ...$commands what fills it */
    private static function written(string $name, array ...$commands): string
    {
        $path = self::folder() . "/{$name}.sqlite";
        $turn = fopen("{$path}.lock", 'c') ?: throw new RuntimeException("{$path}.lock");
        flock($turn, LOCK_EX);
        is_file($path) || self::write($path, $commands);
        fclose($turn);

        return $path;
    }

    /** @param list<list<string>> $commands */
    private static function write(string $path, array $commands): void
    {
        $new = "{$path}.new";
        touch($new);
        $env = [
            'APP_ENV' => 'testing',
            'APP_KEY' => 'base64:' . base64_encode(str_repeat('k', 32)),
            'APP_CONFIG_CACHE' => "{$path}.none.php",
            'APP_ROUTES_CACHE' => "{$path}.none.php",
            'DB_CONNECTION' => 'sqlite',
            'DB_DATABASE' => $new,
            'DB_SYNCHRONOUS' => 'off',
            'BCRYPT_ROUNDS' => '4',
            'CACHE_STORE' => 'array',
            'DRIPEL_DEMO' => 'true',
        ];
        foreach ($commands as $command) {
            (new Process([PHP_BINARY, 'artisan', ...$command], dirname(__DIR__), $env, null, 400))->mustRun();
        }
        rename($new, $path);
    }

    private static function folder(): string
    {
        $shared = getenv('DRIPEL_TEST_DATABASES');

        return is_string($shared) && is_dir($shared) ? $shared : (self::$own ??= self::own());
    }

    private static function own(): string
    {
        $folder = sys_get_temp_dir() . '/dripel-databases-' . bin2hex(random_bytes(5));
        mkdir($folder);
        register_shutdown_function(fn() => (new Process(['rm', '-rf', $folder]))->run());

        return $folder;
    }
}
