<?php

declare(strict_types=1);

namespace App\Strip;

use App\Models\Protocol as Row;
use App\Models\Workshop;
use Dripel\Core\Input\Fields;
use Dripel\Core\Strip\Protocol;

/** The stripping protocols of a workshop: the schools that ship as data, and its own. */
final class Protocols
{
    /** Least solvent, no soak, all of it measured. */
    /** The school offered for what is hard to strip. */
    public const ULTRASONIC = 'ultrasonic';

    public const DEFAULT = 'three_and_two';

    private const OWN = 'own-';

    /** @var array<string, Protocol>|null */
    private ?array $schools = null;

    /** @return array<string, Protocol> by code, the default first */
    public function schools(): array
    {
        if ($this->schools === null) {
            $protocols = Fields::fromJson((string) file_get_contents(resource_path('protocols/strip.json')))->list(
                'protocols',
                Protocol::from(...),
            );
            $this->schools = array_combine(array_map(fn(Protocol $protocol) => $protocol->code, $protocols), $protocols);
        }

        return $this->schools;
    }

    /** @return array<string, Protocol> by code, those of one's own after the schools */
    public function all(Workshop $workshop): array
    {
        $all = $this->schools();
        foreach (Row::query()->in($workshop)->live()->orderBy('id')->get() as $row) {
            $all[self::OWN . $row->id] = self::own($row);
        }

        return $all;
    }

    public function find(Workshop $workshop, string $code): ?Protocol
    {
        return $this->all($workshop)[$code] ?? null;
    }

    /** The name of one's own; a school is named by its code. */
    public static function nameOf(Workshop $workshop, string $code): ?string
    {
        $id = self::rowId($code);

        return $id === null ? null : Row::query()->in($workshop)->whereKey($id)->value('name');
    }

    public static function rowId(string $code): ?int
    {
        return str_starts_with($code, self::OWN) ? (int) substr($code, strlen(self::OWN)) : null;
    }

    private static function own(Row $row): Protocol
    {
        return Protocol::from(
            Fields::fromJson(
                (string) json_encode(['code' => self::OWN . $row->id, 'steps' => $row->steps, 'drip_only' => $row->drip_only]),
            ),
        );
    }
}
