<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tests\DatabaseFile;

/** Dripel served for a browser, on a database of its own, with its clock at an instant. */
final class Server
{
    /** @var array<string, true> those of a database server, to be copied; of SQLite see DatabaseFile */
    private static array $templates = [];

    private function __construct(
        private Process $process,
        /** @var non-empty-string */
        public readonly string $url,
        private readonly string $folder,
        private readonly string $root,
        /** @var array<string, string> */
        private array $env,
        private readonly int $port,
    ) {}

    /**
     * @param bool $demo with the demo workshop, ending at $now; $demoMode: the door to it, whoever fills the workshop; $speed: of the one
     * clock; $linked: with all classes linked beforehand as bin/start does, which takes a second
     */
    public static function start(string $now, bool $demo = true, bool $demoMode = false, float $speed = 1.0, bool $linked = false): self
    {
        $root = dirname(__DIR__, 3);
        $folder = sys_get_temp_dir() . '/dripel-browser-' . bin2hex(random_bytes(5));
        mkdir($folder);
        $port = Ports::usual();
        /** @var array<string, string> $env */
        $env = [
            'APP_ENV' => 'production',
            'APP_DEBUG' => 'false',
            'APP_KEY' => 'base64:' . base64_encode(str_repeat('k', 32)),
            'APP_URL' => "http://127.0.0.1:{$port}",
            'APP_CONFIG_CACHE' => "{$folder}/config.php",
            'APP_ROUTES_CACHE' => "{$folder}/routes.php",
            'DB_DATABASE' => "{$folder}/test.sqlite",
            'DB_NAME' => basename($folder),
            'DB_SYNCHRONOUS' => 'off',
            'BCRYPT_ROUNDS' => '4',
            'DRIPEL_PROXY_WORD' => Cable::WORD,
            'DRIPEL_PUSH_KEYS' => "{$folder}/push-keys.json",
            'DRIPEL_BACKUPS' => "{$folder}/backups",
            'DRIPEL_DEMO' => $demo || $demoMode ? 'true' : 'false',
            'DRIPEL_CLOCK_START' => $now,
            'SESSION_DRIVER' => 'database',
            'CACHE_STORE' => 'database',
            'QUEUE_CONNECTION' => 'database',
            'LOG_CHANNEL' => 'single',
        ];
        self::prepare($root, $env, $demo ? $now : null);
        // The clock runs from here on, however long the demo took to write.
        $env += ['DRIPEL_CLOCK_SINCE' => (string) microtime(true), 'DRIPEL_CLOCK_SPEED' => (string) $speed];
        self::artisan($root, $env, 'config:cache');
        self::artisan($root, $env, 'route:cache');

        return new self(self::serve($root, $env, $port, $linked), "http://127.0.0.1:{$port}", $folder, $root, $env, $port);
    }

    /** Ends it as a power cut would, whatever it is doing. */
    public function powerCut(): void
    {
        posix_kill(-(int) $this->process->getPid(), SIGKILL);
        $this->process->stop(1);
        Ports::awaitSilence($this->port);
    }

    /** Starts it again on the same data. */
    public function powerBack(): void
    {
        $this->process = self::serve($this->root, $this->env, $this->port);
    }

    /** Goes on at another instant, on the same data. */
    public function jump(string $now): void
    {
        $this->env = ['DRIPEL_CLOCK_START' => $now, 'DRIPEL_CLOCK_SINCE' => (string) microtime(true)] + $this->env;
        self::artisan($this->root, $this->env, 'config:cache');
        $this->powerCut();
        $this->powerBack();
    }

    /** A command beside the server, on its data; it runs on until it is done or stopped. */
    public function beside(string ...$command): Process
    {
        $process = new Process([PHP_BINARY, 'artisan', ...$command], $this->root, $this->env, null, null);
        $process->start();

        return $process;
    }

    /** @param array<string, string> $env */
    private static function serve(string $root, array $env, int $port, bool $linked = false): Process
    {
        // A session of its own, so that the workers can be stopped with their master.
        $php = [
            'setsid',
            PHP_BINARY,
            '-d',
            'opcache.enable_cli=1',
            '-d',
            'apc.enable_cli=1',
            ...$linked
                ? ['-d', 'opcache.preload=bootstrap/preload.php', ...posix_geteuid() === 0 ? ['-d', 'opcache.preload_user=root'] : []]
                : [],
            '-d',
            'upload_max_filesize=64M',
            '-d',
            'post_max_size=66M',
            '-S',
            "127.0.0.1:{$port}",
            '-t',
            'public',
            'server.php',
        ];
        $process = new Process($php, $root, $env + ['PHP_CLI_SERVER_WORKERS' => '3'], null, null);
        // Nobody reads what the server prints; a full pipe would stop it.
        $process->disableOutput();
        $process->start();
        Ports::await($port);

        return $process;
    }

    public function database(): string
    {
        return "{$this->folder}/test.sqlite";
    }

    /** What is stored, as whoever looks from outside sees it. */
    public function pdo(): PDO
    {
        return self::onServer() ? self::server(basename($this->folder)) : new PDO("sqlite:{$this->database()}");
    }

    /** Whether the tests are run on a database server (bin/test postgres). */
    private static function onServer(): bool
    {
        return getenv('DB_CONNECTION') === 'pgsql';
    }

    private static function server(string $name): PDO
    {
        return new PDO('pgsql:host=' . getenv('DB_HOST') . ";dbname={$name}", 'dripel');
    }

    public function stop(): void
    {
        posix_kill(-(int) $this->process->getPid(), SIGTERM);
        $this->process->stop(1);
        array_map(unlink(...), glob("{$this->folder}/*") ?: []);
        rmdir($this->folder);
    }

    /** @param array<string, string> $env */
    private static function prepare(string $root, array $env, ?string $demoEnds): void
    {
        if (!self::onServer()) {
            copy($demoEnds === null ? DatabaseFile::empty() : DatabaseFile::withDemo($demoEnds), $env['DB_DATABASE']);

            return;
        }
        $template = 'template_' . getmypid() . '_' . md5((string) $demoEnds);
        if (!isset(self::$templates[$template])) {
            self::$templates[$template] = true;
            self::server('postgres')->exec("create database {$template}");
            $own = ['DB_NAME' => $template] + $env;
            self::artisan($root, $own, 'migrate', '--force');
            $demoEnds === null || self::artisan($root, $own, 'dripel:demo', "--today={$demoEnds}");
        }
        self::server('postgres')->exec("create database \"{$env['DB_NAME']}\" template {$template}");
    }

    /** @param array<string, string> $env */
    private static function artisan(string $root, array $env, string ...$command): void
    {
        $process = new Process([PHP_BINARY, 'artisan', ...$command], $root, $env, null, 400);
        $process->run();
        $process->isSuccessful() || throw new RuntimeException($process->getOutput() . $process->getErrorOutput());
    }
}
