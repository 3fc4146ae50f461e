<?php

declare(strict_types=1);

namespace Dripel\Core\Cost;

enum SupplyUnit: string
{
    case Piece = 'piece';
    case Gram = 'g';
    case Millilitre = 'ml';
}
