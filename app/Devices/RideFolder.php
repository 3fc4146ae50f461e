<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Workshop;
use App\Support\WholeFile;

/** The folder of a workshop that is watched for ride files. A file appears in it whole. */
final readonly class RideFolder implements RideSource
{
    public function __construct(private Workshop $workshop) {}

    public static function path(Workshop $workshop): string
    {
        return config()->string('dripel.inbox') . "/{$workshop->id}";
    }

    public function deliver(string $name, string $gpx): bool
    {
        WholeFile::put(self::path($this->workshop) . "/{$name}", $gpx);

        return true;
    }
}
