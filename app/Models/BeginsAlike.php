<?php

declare(strict_types=1);

namespace App\Models;

/**
 * The framework goes through all methods of each model, some five hundred, for what its traits begin with: a third of a millisecond for
 * every kind of row that a page reads. Ours have nothing of the kind but Eloquent's own, so what was found for one holds for all.
 */
trait BeginsAlike
{
    protected static function bootTraits(): void
    {
        if (!isset(self::$traitInitializers[BeginsAlike::class])) {
            parent::bootTraits();
            self::$traitInitializers[BeginsAlike::class] = self::$traitInitializers[static::class];
        }
        self::$traitInitializers[static::class] = self::$traitInitializers[BeginsAlike::class];
    }
}
