<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

use Dripel\Core\Input\Check;
use Dripel\Core\Input\Fields;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Pot\WaxProperties;

/** A pot and everything that happened to the wax in it, in order. mm, g, °C. */
final readonly class BathLedgerInput
{
    /** What one dip takes along where nobody weighed: house rule. */
    public const PICKUP_G = 6.0;

    /** How deep a coiled chain lies: house rule. */
    public const COIL_MM = 30.0;

    /** Above that it is time to filter: house rule. */
    public const GRIT_LIMIT = 4.0;

    /** Plain wax is kept below: common practice. */
    public const LIMIT_C = 100.0;

    /**
     * @param list<BathEvent> $events
     *
     * @throws InvalidInput at `events` if empty, at `events.N.at` if earlier than the one before it, at `events.0.kind` unless a
     *                      fill, at the other fields unless above 0
     */
    public function __construct(
        public Vessel $vessel,
        public array $events,
        public float $limitC = self::LIMIT_C,
        public float $coilHeightMm = self::COIL_MM,
        public float $pickupDefaultG = self::PICKUP_G,
        public float $gritLimit = self::GRIT_LIMIT,
    ) {
        Check::notEmpty('events', $events);
        $events[0]->kind === BathEventKind::Fill ||
            throw new InvalidInput('events.0.kind', 'must be fill: a book begins with a filled pot');
        foreach (array_slice($events, 1) as $i => $event) {
            $event->atS >= $events[$i]->atS ||
                throw new InvalidInput('events.' . ($i + 1) . '.at', 'must not be before the event before it');
        }
        Check::temperature('limit_c', $limitC);
        Check::positive('coil_height_mm', $coilHeightMm);
        Check::positive('pickup_default_g', $pickupDefaultG);
        Check::positive('grit_limit', $gritLimit);
    }

    public static function from(Fields $in): self
    {
        $in->only('vessel', 'wax', 'events', 'limit_c', 'coil_height_mm', 'pickup_default_g', 'grit_limit');
        // Checked, though a book needs no heat.
        WaxProperties::in($in);

        return new self(
            $in->nested('vessel', Vessel::from(...)),
            $in->list('events', BathEvent::from(...)),
            $in->number('limit_c', self::LIMIT_C),
            $in->number('coil_height_mm', self::COIL_MM),
            $in->number('pickup_default_g', self::PICKUP_G),
            $in->number('grit_limit', self::GRIT_LIMIT),
        );
    }
}
