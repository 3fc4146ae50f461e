<?php

declare(strict_types=1);

namespace Dripel\Core\Maths;

/**
 * A symmetric positive definite matrix as L·Lᵀ. Source: G. H. Golub and C. F. Van Loan, Matrix Computations, ch. 4 (memory).
 */
final readonly class Cholesky
{
    /** @param list<list<float>> $lower */
    private function __construct(private array $lower) {}

    /**
     * Null unless the matrix is positive definite.
     *
     * @param list<list<float>> $matrix
     */
    public static function of(array $matrix): ?self
    {
        $lower = [];
        foreach ($matrix as $i => $row) {
            $new = [];
            for ($j = 0; $j <= $i; $j++) {
                $sum = $row[$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $new[$k] * ($lower[$j] ?? $new)[$k];
                }
                if ($i === $j && !($sum > 0.0)) {
                    return null;
                }
                $new[] = $i === $j ? sqrt($sum) : $sum / $lower[$j][$j];
            }
            $lower[] = $new;
        }

        return new self($lower);
    }

    /**
     * What times the matrix gives this.
     *
     * @param list<float> $right
     *
     * @return list<float>
     */
    public function solve(array $right): array
    {
        $size = count($this->lower);
        $half = [];
        for ($i = 0; $i < $size; $i++) {
            $sum = $right[$i];
            for ($k = 0; $k < $i; $k++) {
                $sum -= $this->lower[$i][$k] * $half[$k];
            }
            $half[$i] = $sum / $this->lower[$i][$i];
        }
        $found = array_fill(0, $size, 0.0);
        for ($i = $size - 1; $i >= 0; $i--) {
            $sum = $half[$i];
            for ($k = $i + 1; $k < $size; $k++) {
                $sum -= $this->lower[$k][$i] * $found[$k];
            }
            $found[$i] = $sum / $this->lower[$i][$i];
        }

        return array_values($found);
    }

    /** A diagonal entry of the inverse. */
    public function inverseAt(int $n): float
    {
        return $this->solve(array_map(fn(int $i) => $i === $n ? 1.0 : 0.0, array_keys($this->lower)))[$n];
    }
}
