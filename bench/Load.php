<?php

declare(strict_types=1);

namespace Bench;

use Illuminate\Support\Str;
use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tests\Browser\Support\Ports;
use Tests\Browser\Support\Server;

/**
 * Many people at once: wrk reads with signed-in sessions while rides are logged, against PHP's own server and against nginx with php-fpm as
 * deploy/ sets them up. Every second ride is sent twice at one moment, as a phone on a bad network does: it has to count once.
 */
final readonly class Load
{
    private const PAGES = ['/', '/', '/rides', '/', '/chains/1', '/pot', '/', '/ahead', '/history'];

    private const SESSIONS = 8;

    private const RIDES_AT_ONCE = 2;

    private const PAUSE_US = 1_000_000;

    /** wrk has room for as many open files as it has connections, and a few: those that it would inherit from us count. */
    private const WITHOUT_OURS = [
        'bash',
        '-c',
        'for n in $(ls /proc/self/fd); do ((n < 3)) || eval "exec $n>&-"; done 2>/dev/null; exec "$@"',
        'bash',
    ];

    private function __construct(private Server $server, private string $folder) {}

    public static function print(int $seconds): bool
    {
        printf(
            "%-22s %5s %9s %9s %9s %7s %6s %6s %8s\n",
            'server',
            'conn',
            'req/s',
            'p50 ms',
            'p99 ms',
            'errors',
            'rides',
            'lost',
            'doubled',
        );
        extension_loaded('apcu') || (print "PHP's apcu is missing: each page is made anew.\n");
        $sound = true;
        foreach ([4, 32] as $connections) {
            foreach (['PHP’s own, 4 workers' => false, 'nginx and php-fpm' => true] as $name => $served) {
                $sound = self::run($name, $served, $connections, $seconds) && $sound;
            }
        }

        return $sound;
    }

    private static function run(string $name, bool $served, int $connections, int $seconds): bool
    {
        $server = Server::start(gmdate('Y-m-d\TH:i:s\Z'), linked: true);
        $folder = sys_get_temp_dir() . '/dripel-load-' . bin2hex(random_bytes(4));
        mkdir($folder);
        $load = new self($server, $folder);
        $behind = $served ? $load->serve() : null;
        try {
            [$figures, $errors, $rides, $lost, $doubled] = $load->measure($behind['url'] ?? $server->url, $connections, $seconds);
        } finally {
            $behind === null || $behind['process']->stop(5);
            $server->stop();
            (new Process(['rm', '-rf', $folder]))->run();
        }
        printf("%-22s %5d %9.1f %9.0f %9.0f %7d %6d %6d %8d\n", $name, $connections, ...$figures, ...[$errors, $rides, $lost, $doubled]);

        return $errors === 0 && $lost === 0 && $doubled === 0;
    }

    /** @return array{process: Process, url: non-empty-string} nginx and php-fpm on the same installation */
    private function serve(): array
    {
        $port = Ports::free();
        $cache = dirname($this->server->database());
        $process = new Process(
            ['deploy/try', "{$this->folder}/served", (string) $port, "CACHE={$cache}", 'RATE=100000r/s', 'BURST=10000'],
            dirname(__DIR__),
            null,
            null,
            null,
        );
        $process->start();
        Ports::await($port);

        return ['process' => $process, 'url' => "http://127.0.0.1:{$port}"];
    }

    /**
     * @param non-empty-string $url
     *
     * @return array{list<float>, int, int, int, int} requests/s, median and 99th percentile in ms; errors, rides acknowledged, lost, doubled
     */
    private function measure(string $url, int $connections, int $seconds): array
    {
        $visitors = array_map(fn() => new Visitor($url), range(1, min(self::SESSIONS, $connections)));
        file_put_contents(
            "{$this->folder}/load.lua",
            $this->script(array_map(fn(Visitor $one) => $one->cookies(), $visitors), $url !== $this->server->url),
        );
        $wrk = new Process(
            [
                ...self::WITHOUT_OURS,
                'wrk',
                '-t',
                '2',
                '-c',
                (string) $connections,
                '-d',
                "{$seconds}s",
                '--timeout',
                '60s',
                '-s',
                "{$this->folder}/load.lua",
                $url,
            ],
            null,
            null,
            null,
            $seconds + 120,
        );
        $wrk->start();
        [$acknowledged, $refused] = [[], 0];
        while ($wrk->isRunning()) {
            [$ids, $forms] = [[], []];
            foreach (range(1, self::RIDES_AT_ONCE) as $n) {
                $id = (string) Str::uuid();
                $form = [
                    '/rides',
                    [
                        'action_id' => $id,
                        'bike_id' => 1,
                        'distance' => 1,
                        'condition' => 'dry',
                        'date' => gmdate('Y-m-d', time() - 86400),
                        'time' => '12:00',
                    ],
                ];
                array_push($ids, ...$n % 2 === 0 ? [$id, $id] : [$id]);
                array_push($forms, ...$n % 2 === 0 ? [$form, $form] : [$form]);
            }
            foreach ($visitors[0]->postAtOnce($forms) as $i => $status) {
                $status === 302 ? ($acknowledged[$ids[$i]] = true) : $refused++;
            }
            usleep(self::PAUSE_US);
        }
        preg_match('/^FIGURES (\S+) (\S+) (\S+) (\d+)$/m', $wrk->getOutput(), $found) || throw new RuntimeException($wrk->getOutput());
        $rides = $this->server
            ->pdo()
            ->query('select a.id, count(r.id) from actions a join rides r on r.action_id = a.id group by a.id')
            ->fetchAll(PDO::FETCH_KEY_PAIR);
        $kept = array_intersect_key($rides, $acknowledged);

        return [
            [(float) $found[1], (float) $found[2], (float) $found[3]],
            $refused + (int) $found[4],
            count($acknowledged),
            count($acknowledged) - count($kept),
            count(array_filter($kept, fn(int $times) => $times !== 1)),
        ];
    }

    /** @param list<string> $cookies of each session */
    private function script(array $cookies, bool $keptAlive): string
    {
        $broken = $keptAlive ? 'e.read' : '0';
        $list = fn(array $texts): string => '{' . implode(', ', array_map(fn(string $text) => "\"{$text}\"", $texts)) . '}';

        return <<<LUA
        local cookies, pages = {$list($cookies)}, {$list(self::PAGES)}
        local asked = 0
        function request()
          asked = asked + 1
          return wrk.format("GET", pages[asked % #pages + 1], { Cookie = cookies[asked % #cookies + 1] })
        end
        -- PHP's own server ends each answer by closing the line, which wrk takes for a broken read.
        function done(summary, latency)
          local e = summary.errors
          local broken = {$broken}
          io.write(string.format("FIGURES %.2f %.1f %.1f %d\\n", summary.requests / summary.duration * 1e6, latency:percentile(50) / 1000,
            latency:percentile(99) / 1000, e.connect + broken + e.write + e.status + e.timeout))
        end
        LUA;
    }
}
