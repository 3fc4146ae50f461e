<?php

declare(strict_types=1);

namespace Dripel\Core\Pot;

use Dripel\Core\Bath\BathDip;
use Dripel\Core\Bath\Vessel;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Logbook\Settings;
use Dripel\Core\PotDay\PotCapacity;

/** What is known of a pot, with the house rule where nobody said. mm inside, W, °C, W per K; its efficiency from 0 to 1. */
final readonly class PotFacts
{
    private function __construct(
        public PotKind $kind,
        public WaxKind $wax,
        public ?float $diameterMm,
        public ?float $heightMm,
        public ?float $lowW,
        public ?float $highW,
        public float $limitC,
        public float $efficiency,
        public float $lossWPerK,
        public bool $calibrated,
        /** As its owner says; null: nobody said. */
        public ?int $atOnce,
        public PotLay $lay,
        public bool $forRaces,
    ) {}

    public static function of(Settings $settings, int $potId): self
    {
        $number = fn(SettingKey $key): ?float => is_numeric($value = $settings->at($key, $potId, PHP_INT_MAX)) ? (float) $value : null;
        $wax = WaxKind::tryFrom($settings->text(SettingKey::PotWax, $potId)) ?? WaxKind::Plain;
        $loss = $number(SettingKey::PotLossWPerK);

        return new self(
            PotKind::tryFrom($settings->text(SettingKey::PotKind, $potId)) ?? PotKind::SlowCooker,
            $wax,
            $number(SettingKey::PotDiameterMm),
            $number(SettingKey::PotHeightMm),
            $number(SettingKey::PotLowW),
            $number(SettingKey::PotHighW),
            $wax->limitC($number(SettingKey::PotFlashC)),
            $number(SettingKey::PotEfficiency) ?? 1.0,
            $loss ?? PotHeatInput::LOSS_W_PER_K,
            $loss !== null,
            $settings->whole(SettingKey::PotAtOnce, $potId) ?: null,
            PotLay::tryFrom($settings->text(SettingKey::PotLay, $potId)) ?? PotLay::Coiled,
            $settings->whole(SettingKey::PotForRaces, $potId) === 1,
        );
    }

    /** How many chains go in at once with so much wax: as its owner says, else as many as fit. */
    public function chainsAtOnce(float $waxG): int
    {
        return PotCapacity::of($this->vessel(), $waxG, BathDip::CHAIN_G, $this->atOnce, $this->lay)->atOnce();
    }

    public function vessel(): Vessel
    {
        return new Vessel($this->diameterMm ?? 0.0, $this->heightMm ?? 0.0);
    }
}
