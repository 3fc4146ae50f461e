<?php

declare(strict_types=1);

namespace Dripel\Core\Bath;

/** What a bath wants. */
enum BathNext: string
{
    case Ok = 'ok';
    case TopUp = 'top_up';
    case Filter = 'filter';
    case Replace = 'replace';
}
