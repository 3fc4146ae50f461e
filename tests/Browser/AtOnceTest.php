<?php

declare(strict_types=1);

use Bench\Visitor;
use Tests\Browser\Support\Server;

it('creates nothing twice and loses nothing when many save at the same moment', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    try {
        $visitor = new Visitor($server->url);
        $database = $server->pdo();
        $bike = (int) $database->query('select min(id) from bikes')->fetchColumn();
        $count = fn(): int => (int) $database->query('select count(*) from rides where voided_by is null')->fetchColumn();
        $ride = fn(string $id, float $km): array => [
            '/rides',
            [
                'action_id' => $id,
                'bike_id' => $bike,
                'distance' => $km,
                'condition' => 'dry',
                'date' => '2026-11-25',
                'time' => '09:00',
            ],
        ];
        $before = $count();
        $same = '11111111-1111-4111-8111-111111111111';
        $others = array_map(fn(int $i) => sprintf('22222222-2222-4222-8222-%012d', $i), range(1, 12));

        $answers = $visitor->postAtOnce([...array_fill(0, 8, $ride($same, 5)), ...array_map(fn(string $id) => $ride($id, 7), $others)]);

        expect(array_unique($answers))
            ->toBe([302])
            ->and($count() - $before)
            ->toBe(13)
            ->and((int) $database->query("select count(*) from actions where id = '{$same}'")->fetchColumn())
            ->toBe(1)
            ->and((int) $database->query('select count(distinct revision) - count(*) from actions')->fetchColumn())
            ->toBe(0);
    } finally {
        $server->stop();
    }
});

it('lets whoever has read first write in turn, and whoever only looks', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    try {
        $visitor = new Visitor($server->url);
        $database = $server->pdo();
        $rides = $database->query('select id from rides where voided_by is null order by id desc limit 3')->fetchAll(PDO::FETCH_COLUMN);
        $form = fn(int $n): array => [
            'action_id' => sprintf('44444444-4444-4444-8444-%012d', $n),
            'date' => '2026-11-25',
            'time' => sprintf('10:%02d', $n % 60),
        ];
        // A reading is held against those before it, a preview against the logbook as it is: both read before they write.
        $reading = fn(int $n): array => ['/chains/2/readings', ['kind' => 'digital', 'value_pct' => 0.2, 'sure' => 1] + $form($n)];
        $preview = fn(int $n): array => ['/rides/condition', ['rides' => $rides, 'condition' => 'wet', 'preview' => 1] + $form(100 + $n)];
        $answers = [];
        for ($round = 0; $round < 3; $round++) {
            $numbers = range(10 * $round, 10 * $round + 9);
            $answers = [
                ...$answers,
                ...$visitor->postAtOnce(array_merge(...array_map(fn(int $n) => [$reading($n), $preview($n)], $numbers))),
            ];
        }
        expect(array_count_values($answers))
            ->toBe([302 => 30, 200 => 30])
            ->and((int) $database->query("select count(*) from actions where cast(id as text) like '44444444%'")->fetchColumn())
            ->toBe(30);
    } finally {
        $server->stop();
    }
});

it('counts a step once, however many devices tap it at the same moment', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    try {
        $visitor = new Visitor($server->url);
        $database = $server->pdo();
        // The demo has one job under way: its chain dries.
        $job = (string) $database->query('select id from guided_jobs where ended_at is null')->fetchColumn();
        $taps = fn(): array => $database
            ->query("select position, kind from guided_taps where job_id = '{$job}' order by number desc limit 2")
            ->fetchAll(PDO::FETCH_NUM);
        [[$position]] = $taps();
        $tap = fn(int $device, int $at, array $ticks = []): array => [
            "/jobs/{$job}/taps",
            [
                'taps' => [
                    [
                        'id' => sprintf('33333333-3333-4333-8333-%012d', $device),
                        'kind' => 'done',
                        'position' => $at,
                        'at' => 1795605600,
                        'ticks' => $ticks,
                    ],
                ],
            ],
        ];
        $answers = $visitor->postAtOnce(array_map(fn(int $device) => $tap($device, $position + 1), range(1, 8)));
        expect(array_unique($answers))
            ->toBe([200])
            ->and($taps())
            ->toBe([[$position + 1, 'done'], [$position, 'done']]);
        // The last step twice over: the job ends once.
        $all = ['jars_away', 'dry', 'no_smell'];
        $answers = $visitor->postAtOnce(array_map(fn(int $device) => $tap($device, $position + 2, $all), range(11, 18)));
        expect(array_unique($answers))
            ->toBe([200])
            ->and(
                (int) $database
                    ->query("select count(*) from guided_taps where job_id = '{$job}' and position = " . ($position + 2))
                    ->fetchColumn(),
            )
            ->toBe(1)
            ->and((int) $database->query("select count(*) from guided_jobs where id = '{$job}' and ended_at is not null")->fetchColumn())
            ->toBe(1);
    } finally {
        $server->stop();
    }
});

it('counts tries to sign in, however many come at the same moment, and answers each', function (): void {
    $server = Server::start('2026-11-25T12:20:00+01:00');
    try {
        $visitor = new Visitor($server->url);
        $try = fn(int $n): array => ['/password', ['password' => "wrong {$n}"]];
        $answers = array_count_values([
            ...$visitor->postAtOnce(array_map($try, range(1, 16))),
            ...$visitor->postAtOnce(array_map($try, range(17, 32))),
        ]);
        // Refused, or refused for being too many: nobody is told of an error of the machine.
        expect(array_diff(array_keys($answers), [302, 422, 429]))
            ->toBe([])
            ->and($answers[429] ?? 0)
            ->toBeGreaterThanOrEqual(20);
    } finally {
        $server->stop();
    }
});
