<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A cassette, a chainring, jockey wheels or a quick link. A quick link goes with a chain, the others sit on bikes. */
final readonly class Part
{
    public function __construct(
        public int $id,
        public PartKind $kind,
        /** Of a quick link: the chain it closes. */
        public ?int $chainId = null,
        /** Of a quick link: how many closings its maker allows, null if unknown. */
        public ?int $closingsAllowed = null,
        /** Of a quick link: for how many speeds it is made, null if unknown. */
        public ?int $speeds = null,
        /** Of a cassette: it sits on a home trainer. */
        public bool $onTrainer = false,
    ) {}

    /** As a workshop describes it. */
    public static function of(int $id, PartKind $kind, Settings $settings): self
    {
        return new self(
            $id,
            $kind,
            $settings->whole(SettingKey::LinkChain, $id) ?: null,
            $settings->whole(SettingKey::LinkClosings, $id) ?: null,
            $settings->whole(SettingKey::LinkSpeeds, $id) ?: null,
            $settings->whole(SettingKey::OnTrainer, $id) === 1,
        );
    }

    /** Where it sits on a bike; null for what goes with a chain. */
    public function slot(): ?Slot
    {
        return $this->onTrainer && $this->kind === PartKind::Cassette ? Slot::Trainer : $this->kind->slot();
    }

    /** Whether it closes a chain of so many speeds; where either is unknown (0 for the chain) nothing speaks against it. */
    public function closes(int $chainSpeeds): bool
    {
        return $this->speeds === null || $chainSpeeds === 0 || $this->speeds === $chainSpeeds;
    }
}
