<?php

declare(strict_types=1);

namespace Dripel\Core\Care;

/** What it takes to bring a bike that is ridden on oil to wax, in this order. */
enum ConversionStep: string
{
    case Measure = 'measure';
    case Decide = 'decide';
    case Clean = 'clean';
    case Buy = 'buy';
    case Strip = 'strip';
    case Wax = 'wax';
    case Fit = 'fit';
}
