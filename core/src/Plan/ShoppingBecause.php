<?php

declare(strict_types=1);

namespace Dripel\Core\Plan;

/** Why something must be bought. */
enum ShoppingBecause: string
{
    /** A chain of the bike reaches its limit, and fewer than it wants are left. */
    case Worn = 'worn';
    case Few = 'few';
    /** The new chain comes with none. */
    case NewChain = 'new_chain';
    /** A quick link was closed as often as its maker allows. */
    case UsedUp = 'used_up';
    /** The planned dips take the bath below what covers a chain. */
    case BathLow = 'bath_low';
    /** The bath is spent and wants changing. */
    case BathSpent = 'bath_spent';
    /** The bottles run out at the pace of late. */
    case BottlesEmpty = 'bottles_empty';
    /** Top-ups are planned and there is no bottle. */
    case NoBottle = 'no_bottle';
    /** A new chain is stripped before it is waxed. */
    case Strip = 'strip';
}
