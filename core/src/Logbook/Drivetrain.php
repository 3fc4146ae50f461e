<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

use Dripel\Core\Chain\Joint;

/** What a bike is like for whoever works at its chain: by it the steps of a guided job are chosen. */
final readonly class Drivetrain
{
    public function __construct(
        /** How many sprockets; 0: nobody said. A single speed has no derailleur to slack and no gears to run through. */
        public int $speeds = 12,
        public Brakes $brakes = Brakes::Disc,
        /** How the chain at hand is closed. */
        public Joint $joint = Joint::QuickLink,
        /** Whether the chain has an outer side. */
        public bool $directional = false,
    ) {}

    /** @param int|null $bikeId null: it hangs on no bike's rail */
    public static function of(Settings $settings, ?int $bikeId, int $chainId): self
    {
        $speeds = $bikeId === null ? 0 : $settings->whole(SettingKey::BikeSpeeds, $bikeId);

        return new self(
            $speeds > 0 ? $speeds : $settings->whole(SettingKey::ChainSpeeds, $chainId, 12),
            $bikeId === null ? Brakes::Disc : Brakes::tryFrom($settings->text(SettingKey::BikeBrakes, $bikeId)) ?? Brakes::Disc,
            Joint::tryFrom($settings->text(SettingKey::ChainJoint, $chainId)) ?? Joint::QuickLink,
            $settings->whole(SettingKey::ChainDirectional, $chainId) === 1,
        );
    }

    /** Whether a chain is as wide as a bike's sprockets are; where nobody said how many there are nothing speaks against it. */
    public static function takes(Settings $settings, int $bikeId, int $chainId): bool
    {
        [$bike, $chain] = [$settings->whole(SettingKey::BikeSpeeds, $bikeId), $settings->whole(SettingKey::ChainSpeeds, $chainId)];

        return $bike <= 0 || $chain <= 0 || $bike === $chain;
    }

    public function derailleur(): bool
    {
        return $this->speeds !== 1;
    }
}
