<?php

declare(strict_types=1);

namespace Dripel\Core\Care;

/** With which chain a bike goes on: the one that was ridden on oil, stripped, or a new one. */
enum ConversionWay: string
{
    case Keep = 'keep';
    case New = 'new';
}
