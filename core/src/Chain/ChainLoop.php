<?php

declare(strict_types=1);

namespace Dripel\Core\Chain;

/**
 * A chain around its ring and sprocket, as it is drawn: mm, the rear axle at the origin, x towards the ring, y up. The runs
 * touch each pitch circle at an angle of π/2 + β from the line of centres on the larger side (plane geometry).
 */
final readonly class ChainLoop
{
    private function __construct(
        public float $chainstayMm,
        public float $frontRadiusMm,
        public float $rearRadiusMm,
        /** Where the upper run leaves the rear pitch circle and where it meets the front one. */
        public float $rearTouchXMm,
        public float $rearTouchYMm,
        public float $frontTouchXMm,
        public float $frontTouchYMm,
    ) {}

    public static function of(ChainLengthInput $in): self
    {
        [$front, $rear] = [$in->frontRadiusMm(), $in->rearRadiusMm()];
        // The upper run leans by this much towards the smaller circle.
        $lean = asin(($front - $rear) / $in->chainstayMm);

        return new self(
            $in->chainstayMm,
            $front,
            $rear,
            -$rear * sin($lean),
            $rear * cos($lean),
            $in->chainstayMm - $front * sin($lean),
            $front * cos($lean),
        );
    }

    /** @return array{chainstay: float, front: float, rear: float, rearX: float, rearY: float, frontX: float, frontY: float} */
    public function toArray(): array
    {
        return [
            'chainstay' => $this->chainstayMm,
            'front' => $this->frontRadiusMm,
            'rear' => $this->rearRadiusMm,
            'rearX' => $this->rearTouchXMm,
            'rearY' => $this->rearTouchYMm,
            'frontX' => $this->frontTouchXMm,
            'frontY' => $this->frontTouchYMm,
        ];
    }
}
