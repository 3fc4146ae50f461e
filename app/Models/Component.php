<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A chain, cassette, chainring, pair of jockey wheels, quick link, solvent jar, pot or instrument. What a person may change about it is a
 * setting.
 *
 * @property string $kind
 */
class Component extends LogbookRow
{
    protected $table = 'components';
}
