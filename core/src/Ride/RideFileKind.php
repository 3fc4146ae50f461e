<?php

declare(strict_types=1);

namespace Dripel\Core\Ride;

use Dripel\Core\Input\Gzip;

/** What a ride file is, told by its first bytes, never by its name. */
enum RideFileKind: string
{
    case Gpx = 'gpx';
    case Tcx = 'tcx';
    case Fit = 'fit';
    /** One file of any other kind, packed. */
    case Gzip = 'gz';
    /** An archive of ride files. */
    case Zip = 'zip';
    /** A table with a ride in each row. */
    case Table = 'table';

    public const HEAD_BYTES = 4096;

    /** @param string $start the first 4096 bytes; what is none of the others is taken for GPX, whose reader says what is wrong */
    public static function of(string $start): self
    {
        $plain = str_replace("\0", '', $start);
        $line = strtok(ltrim((string) preg_replace('/^(\xEF\xBB\xBF|\xFF\xFE|\xFE\xFF)/', '', $plain)), "\r\n");

        return match (true) {
            substr($start, 8, 4) === '.FIT' => self::Fit,
            str_starts_with($start, Gzip::START) => self::Gzip,
            str_starts_with($start, "PK\x03\x04") => self::Zip,
            str_contains($plain, '<TrainingCenterDatabase') => self::Tcx,
            $line !== false &&
                !str_contains($line, '<') &&
                preg_match('/^[^\x00-\x08\x0e-\x1f]*[,;\t][^\x00-\x08\x0e-\x1f]*$/', $line) === 1
                => self::Table,
            default => self::Gpx,
        };
    }
}
