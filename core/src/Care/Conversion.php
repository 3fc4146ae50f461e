<?php

declare(strict_types=1);

namespace Dripel\Core\Care;

use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\ChainStatus;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\PotRefusal;
use Dripel\Core\Strip\Load;

/**
 * A bike ridden on oil on its way to wax: measured, decided, its drivetrain cleaned, a chain stripped or bought, waxed and fitted. Days
 * may pass between; each step is done when the logbook says so, whoever did it and however. Common practice.
 */
final readonly class Conversion
{
    /** Common practice: from here on one starts with a new chain. */
    public const NEW_FROM_PCT = 0.5;

    /** House rule: a drivetrain ridden further since it was cleaned is not clean. */
    private const CLEAN_KM = 100.0;

    /** @param array<value-of<ConversionStep>, bool> $steps in order, and whether each is done */
    private function __construct(
        public int $bikeId,
        /** The chain that was ridden on oil. */
        public ChainState $old,
        /** What somebody decided; null: nobody yet. */
        public ?ConversionWay $way,
        /** What its wear speaks for; null: it is not measured. */
        public ?ConversionWay $proposed,
        /** The chain that will be waxed; null: it is still to be bought. */
        public ?ChainState $chain,
        public array $steps,
    ) {}

    /** Null for a bike that is on wax, or on nothing. */
    public static function of(Book $book, int $bikeId, int $nowS): ?self
    {
        $settings = $book->settings;
        $ridden = $book->fittings()->componentsOf($bikeId);
        $fittedId = $book->fittings()->componentOn($bikeId, $nowS);
        $way = ConversionWay::tryFrom($settings->text(SettingKey::BikeConvert, $bikeId));
        $oldId = self::oldId($book, $ridden, $nowS);
        if ($oldId === null || ($way === null && $fittedId !== $oldId)) {
            return null;
        }
        $old = $book->chain($oldId, $nowS);
        $chain = $way === ConversionWay::New ? self::newer($book, $bikeId, $oldId, $nowS) : $old;
        if ($fittedId !== null && $chain !== null && $fittedId === $chain->chainId && $chain->wax->life !== null) {
            return null;
        }
        $measured = $old->wear->result !== null && !PotRefusal::unmeasured($old);
        $brushed = $book->brushed($bikeId, $nowS);
        $waxed = $chain !== null && $chain->wax->life !== null;
        $steps = [
            ConversionStep::Measure->value => $measured || $way !== null,
            ConversionStep::Decide->value => $way !== null,
            ConversionStep::Clean->value => $brushed !== null && $brushed->km <= self::CLEAN_KM,
            ...$way === ConversionWay::New ? [ConversionStep::Buy->value => $chain !== null] : [],
            ConversionStep::Strip->value => $chain !== null && ($waxed || $chain->status === ChainStatus::Bare),
            ConversionStep::Wax->value => $waxed,
            ConversionStep::Fit->value => false,
        ];

        return new self($bikeId, $old, $way, $measured ? self::proposed($old) : null, $way === null ? null : $chain, $steps);
    }

    /** What comes next. */
    public function current(): ConversionStep
    {
        return ConversionStep::from((string) array_search(false, $this->steps, true));
    }

    private static function proposed(ChainState $old): ConversionWay
    {
        $worn = $old->wear->result->valuePct ?? ($old->wear->result->lowerPct ?? 0.0);

        return $old->wear->pastLimit || $worn >= self::NEW_FROM_PCT ? ConversionWay::New : ConversionWay::Keep;
    }

    /**
     * The last chain that was ridden on oil on it and never waxed before; one that was stripped since counts until it is waxed and fitted.
     *
     * @param list<int> $ridden
     */
    private static function oldId(Book $book, array $ridden, int $nowS): ?int
    {
        foreach (array_reverse($ridden) as $chainId) {
            $chain = $book->chain($chainId, $nowS);
            if (!$chain->retired() && Load::cameWith($chain, $book->settings) === Load::Oiled && $chain->opening?->waxed() !== true) {
                return $chainId;
            }
        }

        return null;
    }

    /** The chain that came to this bike last and is fit to start with: neither worn nor ridden on oil itself. */
    private static function newer(Book $book, int $bikeId, int $oldId, int $nowS): ?ChainState
    {
        foreach (array_reverse($book->chainIds) as $chainId) {
            if ($chainId === $oldId || $book->settings->home($chainId, $nowS) !== $bikeId) {
                continue;
            }
            $chain = $book->chain($chainId, $nowS);
            $oiled = $chain->wax->life === null && Load::cameWith($chain, $book->settings) === Load::Oiled;
            if (!$chain->retired() && !$chain->wear->pastLimit && !$oiled) {
                return $chain;
            }
        }

        return null;
    }
}
