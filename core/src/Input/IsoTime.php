<?php

declare(strict_types=1);

namespace Dripel\Core\Input;

/** An instant read from ISO 8601 text with an offset or Z; anything else is refused. */
final readonly class IsoTime
{
    private const SHAPE = '/^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)(?::(\d\d)(?:[.,](\d+))?)?(?:Z|([+-])(\d\d):?(\d\d)?)$/D';

    /** No zone on Earth is further from UTC than 14 hours. */
    private const MAX_OFFSET_HOURS = 14;

    private function __construct(public float $unixSeconds) {}

    /** @throws InvalidInput at $field */
    public static function parse(string $field, string $text): self
    {
        if (preg_match(self::SHAPE, $text, $m, PREG_UNMATCHED_AS_NULL) !== 1) {
            throw new InvalidInput($field, 'must be an ISO 8601 time with an offset or Z, as in 2026-03-29T07:40:00Z');
        }
        [$year, $month, $day, $hour, $minute, $second] = array_map(intval(...), array_slice($m, 1, 6));
        [$offsetHours, $offsetMinutes] = [(int) $m[9], (int) $m[10]];
        if (!checkdate($month, $day, $year) || $hour > 23 || $minute > 59 || $second > 59) {
            throw new InvalidInput($field, "is not a time that exists: {$text}");
        }
        if ($offsetMinutes > 59 || $offsetHours * 60 + $offsetMinutes > self::MAX_OFFSET_HOURS * 60) {
            throw new InvalidInput($field, 'has an offset beyond 14 hours');
        }
        $offset = ($m[8] === '-' ? -1 : 1) * ($offsetHours * 3600 + $offsetMinutes * 60);

        return new self(gmmktime($hour, $minute, $second, $month, $day, $year) - $offset + (float) ('0.' . ($m[7] ?? '0')));
    }
}
