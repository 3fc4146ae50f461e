<?php

declare(strict_types=1);

namespace App\Support;

/** Where phones and other people reach this machine: the machine's own address is of no use to them. */
final class Reach
{
    /** null: it is served to nobody but itself. */
    public static function lan(): ?string
    {
        $url = config('dripel.lan_url');

        return is_string($url) ? $url : null;
    }

    public static function url(string $path): string
    {
        return (self::lan() ?? url('/')) . $path;
    }
}
