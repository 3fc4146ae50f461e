<?php

declare(strict_types=1);

namespace App\Models;

/** A bike. What a person may change about it is a setting. */
final class Bike extends LogbookRow
{
    protected $table = 'bikes';

    public const KINDS = ['road', 'gravel', 'mountain', 'city', 'indoor'];
}
