<?php

declare(strict_types=1);

namespace Dripel\Core\HowRight;

use Dripel\Core\Maths\Wilson;

/** How one kind of promise turned out. */
final readonly class PromiseGrade
{
    /** Fewer say too little of how right it is: house rule. */
    public const ENOUGH = 10;

    /** @param list<GradedPromise> $promises in the order in which they were made */
    public function __construct(public PromiseKind $kind, public array $promises) {}

    public function count(): int
    {
        return count($this->promises);
    }

    public function kept(): int
    {
        return count(array_filter($this->promises, fn(GradedPromise $one) => $one->kept));
    }

    /** From 0 to 1; null: there were none. */
    public function share(): ?float
    {
        return $this->promises === [] ? null : $this->kept() / $this->count();
    }

    /** Between what the true share lies, in nine of ten cases. */
    public function interval(): ?Wilson
    {
        return $this->promises === [] ? null : Wilson::of($this->kept(), $this->count());
    }

    /** The share that was promised; null: no likelihood was said. */
    public function promised(): ?float
    {
        $likely = array_filter(array_map(fn(GradedPromise $one) => $one->likely, $this->promises), is_float(...));

        return $likely === [] ? null : array_sum($likely) / count($likely);
    }

    /** Whether what came is what was promised, as far as so few can tell; null where nothing was promised, or too few came of it. */
    public function held(): ?bool
    {
        $promised = $this->promised();

        return $promised === null || $this->count() < self::ENOUGH ? null : $this->interval()?->holds($promised);
    }

    /**
     * How far off they were on average, without their sign, in the unit of the kind; of wear, per 1,000 km ridden in between. Null where
     * none can be told so.
     */
    public function meanError(): ?float
    {
        $errors = [];
        foreach ($this->promises as $one) {
            $error = $one->error();
            if ($error !== null && ($one->km === null || $one->km > 0.0)) {
                $errors[] = $one->km === null ? abs($error) : (1000.0 * abs($error)) / $one->km;
            }
        }

        return $errors === [] || $this->kind === PromiseKind::Plan ? null : array_sum($errors) / count($errors);
    }
}
