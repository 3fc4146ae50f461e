<?php

declare(strict_types=1);

namespace Dripel\Core\Interval;

/** How long one rides on a coat of wax: the schools of re-waxing. Common practice. */
enum IntervalSchool: string
{
    /** Quiet at all times, and the longest life. */
    case Short = 'short';
    case Middle = 'middle';
    /** As far as it goes: nobody rides further on purpose. */
    case Long = 'long';

    /** Effective km from one coat to the next. */
    public function km(): float
    {
        return match ($this) {
            self::Short => 200.0,
            self::Middle => 300.0,
            self::Long => 400.0,
        };
    }
}
