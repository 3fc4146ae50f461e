<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Bike;
use App\Models\Bottle;
use App\Models\Chain;
use App\Models\Pot;
use App\Support\AppClock;
use Illuminate\Support\Str;
use Tests\TestCase;

/** Somebody who rides as it comes and does each evening whatever Next asks for today, in the forms that it leads to. */
final class Follower
{
    /** Nobody is asked for more than this in an evening. */
    private const MOST = 30;

    /** @var list<string> what was refused, or asked for again in the evening in which it was done */
    public array $trouble = [];

    /** @var array<string, int> how often each kind was done */
    public array $done = [];

    /** @var array<int, int> the chain that a bike turned out to have on, by bike */
    private array $on = [];

    /** @var array<string, mixed>|null the page that stands open all the time */
    private ?array $shed = null;

    private int $nowS;

    public function __construct(private readonly TestCase $test, private readonly Bench $bench)
    {
        $this->at(Bench::NOW);
    }

    public function at(int $unixS): void
    {
        $this->nowS = $unixS;
        app(AppClock::class)->stopAt($unixS);
    }

    /** @param array<string, mixed> $fields beside the day and time, a minute ago if nothing else is said */
    public function send(string $path, array $fields): void
    {
        app()->forgetScopedInstances();
        $when = ['action_id' => (string) Str::uuid(), 'date' => gmdate('Y-m-d', $this->nowS), 'time' => gmdate('H:i', $this->nowS)];
        $answer = $this->test->postJson($path, $fields + $when);
        $answer->status() < 400 || ($this->trouble[] = gmdate('j M ', $this->nowS) . "{$path}: " . json_encode($answer->json('errors')));
        $this->at($this->nowS + 60);
    }

    /** All that Next asks for today, one thing after the other, each once. */
    public function evening(): void
    {
        $done = [];
        while (count($done) < self::MOST && ($step = $this->first($done)) !== null) {
            $done[] = self::key($step);
            $this->done[$step['kind']] = ($this->done[$step['kind']] ?? 0) + 1;
            $this->do($step);
        }
        foreach ($this->today() as $step) {
            // Several chains may be wanting, and there is nobody here to change a plan.
            in_array($step['kind'], ['buy', 'unmet'], true) ||
                ($this->trouble[] = gmdate('j M ', $this->nowS) . "asked for after all was done: {$step['title']}. {$step['reason']}");
        }
    }

    /** @return list<array<string, mixed>> */
    private function today(): array
    {
        $this->shed ??= $this->test->get('/')->viewData('page');
        $steps = Bench::steps(Bench::partial($this->test, '/', $this->shed, 'next')['next']);

        return array_values(array_filter($steps, fn(array $step) => in_array($step['day'], ['Today', 'Any day'], true)));
    }

    /**
     * @param list<string> $done
     *
     * @return array<string, mixed>|null
     */
    private function first(array $done): ?array
    {
        return array_find($this->today(), fn(array $step) => $step['verb'] !== 'ahead' && !in_array(self::key($step), $done, true));
    }

    /** A chain that is added for a ride is then chosen for it: two things of one line. @param array<string, mixed> $step */
    private static function key(array $step): string
    {
        return "{$step['key']} {$step['verb']}";
    }

    /** @param array<string, mixed> $step */
    private function do(array $step): void
    {
        [$chain, $bike] = [$step['chains'][0] ?? null, $step['bike']];
        match ($step['verb']) {
            'wet' => $this->send("/chains/{$chain}/cares", ['care' => 'dried']),
            'wipe' => $this->send("/chains/{$chain}/cares", ['care' => 'wiped']),
            'swap' => $this->send("/bikes/{$bike}/fittings", ['chain_id' => $step['swapTo']]),
            'fit' => $this->send("/bikes/{$bike}/fittings", [
                'chain_id' => $this->on[$bike],
                'date' => $step['date'],
                'time' => $step['time'],
                // It was on all the time.
                'opening_holds' => false,
            ]),
            'pot_day' => $this->send('/dips', [
                'chains' => $step['chains'],
                'pot_id' => Pot::query()->value('id'),
                'dry' => true,
                'rust_looked' => true,
                'stripped' => true,
            ]),
            'topup' => $this->send("/chains/{$chain}/topups", [
                'distance' => 200,
                'stripped' => true,
                'bottle_id' => Bottle::query()->value('id'),
            ]),
            'strip' => $this->send("/chains/{$chain}/strips", []),
            'retire' => $this->send("/chains/{$chain}/retirement", ['teeth' => 'good']),
            'measure' => $this->send("/chains/{$chain}/readings", [
                'kind' => 'digital',
                'spots' => [['value_pct' => $this->wornPct((int) $chain)]],
            ]),
            'add' => $this->buy((int) $bike, $step['kind'] === 'no_chain'),
            'jar' => $this->tend((string) $step['title']),
            default => ($this->trouble[] = "nobody knows how to {$step['verb']}: {$step['title']}"),
        };
    }

    /** Half a percent in 2,500 km. */
    private function wornPct(int $chain): float
    {
        return round(0.02 + $this->bench->state(Chain::query()->findOrFail($chain))->km->km / 5000.0, 3);
    }

    private function buy(int $bike, bool $ridden): void
    {
        $this->send('/chains', [
            'bike_id' => $bike,
            'label' => (string) (100 + Chain::query()->count()),
            'speeds' => $this->test->get("/bikes/{$bike}")->inertiaProps('values.speeds'),
            'pitches' => 116,
            'state' => $ridden ? 'waxed' : 'boxed',
            'fit' => $ridden,
        ]);
        $ridden && ($this->on[$bike] = (int) Chain::query()->max('id'));
    }

    private function tend(string $title): void
    {
        $act = Str::startsWith($title, 'Filter') ? ['act' => 'filter'] : ['act' => 'top_up', 'wax' => 200];
        $this->send('/pots/' . Pot::query()->value('id') . '/bath', $act);
    }

    /** @return list<int> the bikes in the order in which they were added */
    public static function bikes(): array
    {
        return Bike::query()->orderBy('id')->pluck('id')->all();
    }
}
