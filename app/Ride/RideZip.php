<?php

declare(strict_types=1);

namespace App\Ride;

use Dripel\Core\Input\InvalidInput;
use ZipArchive;

/**
 * An archive of ride files, read file by file and never unpacked to disk: names with paths in them are only names. What its
 * directory promises is checked before anything is read.
 */
final readonly class RideZip
{
    /** Ten years of riding twice a day. */
    public const MOST_FILES = 8000;

    /** A ride of a day, recorded every second with everything else that a recorder knows. */
    private const MOST_FILE_BYTES = 134_217_728;

    private const MOST_BYTES = 8_589_934_592;

    /** Text packs to a twentieth; what packs a thousandfold is a bomb. Small files may be anything. */
    private const MOST_RATIO = 1000;

    private const SMALL_BYTES = 1_048_576;

    /** @param list<array{index: int, name: string, why: string|null}> $files */
    private function __construct(private ZipArchive $zip, public array $files) {}

    /** @throws InvalidInput at `file` if it is no archive, or one that nobody should unpack */
    public static function open(string $path): self
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new InvalidInput('file', 'is no zip that can be opened: it is damaged or cut short; pack it again');
        }
        $files = [];
        $bytes = 0;
        if ($zip->numFiles > 3 * self::MOST_FILES) {
            throw new InvalidInput('file', 'holds more than ' . self::MOST_FILES . ' files: pack the rides in several zips');
        }
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $stat = $zip->statIndex($index);
            $name = $stat === false ? '' : self::nameOf((string) $stat['name']);
            if ($stat === false || $name === '') {
                continue;
            }
            $bytes += $stat['size'];
            $files[] = [
                'index' => $index,
                'name' => $name,
                'why' => match (true) {
                    $stat['encryption_method'] !== ZipArchive::EM_NONE => 'zip_locked',
                    $stat['size'] > self::MOST_FILE_BYTES,
                    $stat['size'] > self::SMALL_BYTES && $stat['size'] > self::MOST_RATIO * max(1, $stat['comp_size'])
                        => 'zip_bomb',
                    default => null,
                },
            ];
        }
        if (count($files) > self::MOST_FILES) {
            throw new InvalidInput('file', 'holds more than ' . self::MOST_FILES . ' files: pack the rides in several zips');
        }
        if ($bytes > self::MOST_BYTES) {
            throw new InvalidInput('file', 'unpacks to more than 8 GB: pack the rides in several zips');
        }

        return $files === [] ? throw new InvalidInput('file', 'holds no ride files') : new self($zip, $files);
    }

    /**
     * @return resource
     *
     * @throws InvalidInput at `file`
     */
    public function stream(int $index)
    {
        $stream = $this->zip->getStreamIndex($index);

        return $stream === false ? throw new InvalidInput('file', 'cannot be unpacked: the zip is damaged; pack it again') : $stream;
    }

    /** The last part of a path, whoever wrote it; nothing for folders and what systems hide in archives. */
    private static function nameOf(string $path): string
    {
        $path = str_replace('\\', '/', mb_check_encoding($path, 'UTF-8') ? $path : mb_convert_encoding($path, 'UTF-8', 'Windows-1252'));
        $name = trim((string) preg_replace('/[\x00-\x1f]/', '', basename($path)));

        return str_ends_with($path, '/') || str_starts_with($path, '__MACOSX/') || str_starts_with($name, '.')
            ? ''
            : mb_substr($name, 0, 120);
    }
}
