<?php

declare(strict_types=1);

namespace App\Actions\Arriving;

use Dripel\Core\Logbook\WaxThen;

/** A used part as it comes into the workshop: a chain, cassette, chainring or quick link. Null is unknown. */
final readonly class ArrivingPart
{
    /**
     * @param string $kind `chain`, or a PartKind
     * @param string $label the letter of a chain or of the chain that a quick link closes, the name of any other part
     * @param array<string, mixed>|null $reading input of wear.reading
     */
    public function __construct(
        public string $kind,
        public string $label,
        public ?int $speeds = null,
        public ?int $pitches = null,
        public ?float $km = null,
        public WaxThen $wax = WaxThen::None,
        public ?float $sinceWaxKm = null,
        public ?array $reading = null,
        public ?int $closings = null,
        public ?int $closingsAllowed = null,
        /** Whether it is on the bike. */
        public bool $fitted = false,
        /** Straight from its box: nothing to open with. */
        public bool $new = false,
    ) {}

    /** Whether something is known of the quick link that closes a chain. */
    public function hasLink(): bool
    {
        return $this->closings !== null || $this->closingsAllowed !== null;
    }
}
