<?php

declare(strict_types=1);

namespace Dripel\Core\Strip;

/** What is done with a chain in its bath. */
enum MoveKind: string
{
    case Shake = 'shake';
    case Rest = 'rest';
    case Brush = 'brush';
}
