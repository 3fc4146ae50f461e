<?php

declare(strict_types=1);

namespace App\Demo;

use App\Logbook\ActionContext;
use App\Models\User;
use App\Models\Workshop;
use App\Support\AppClock;
use Closure;

/**
 * Collects what the demo rider did and then does it in order of time, through the app's own actions, with the clock stopped
 * at each moment. Ids come from the seed, so that the same seed gives the same demo.
 */
final class DemoTimeline
{
    /** @var list<array{int, int, Closure(ActionContext): mixed}> */
    private array $plan = [];

    private int $written = 0;

    public function __construct(private readonly AppClock $clock, private readonly int $seed) {}

    /** @param Closure(ActionContext): mixed $action */
    public function at(int $unixS, Closure $action): void
    {
        $this->plan[] = [$unixS, count($this->plan), $action];
    }

    public function write(Workshop $workshop, User $rider): void
    {
        usort($this->plan, fn(array $a, array $b) => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
        foreach ($this->plan as [$unixS, , $action]) {
            $this->clock->stopAt($unixS);
            $action($this->context($workshop, $rider));
        }
        $this->plan = [];
    }

    public function context(Workshop $workshop, User $rider): ActionContext
    {
        $hash = md5("{$this->seed} " . $this->written++);

        return new ActionContext(
            $workshop,
            $rider,
            implode('-', [
                substr($hash, 0, 8),
                substr($hash, 8, 4),
                '4' . substr($hash, 13, 3),
                'a' . substr($hash, 17, 3),
                substr($hash, 20, 12),
            ]),
        );
    }
}
