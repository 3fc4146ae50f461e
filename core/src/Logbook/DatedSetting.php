<?php

declare(strict_types=1);

namespace Dripel\Core\Logbook;

/** A setting and the instant it holds from. `subjectId` is a bike or chain, 0 for the whole workshop. */
final readonly class DatedSetting
{
    /** @param string|int|float|list<mixed>|null $value a list where SettingKey says so */
    public function __construct(
        public SettingKey $key,
        public int $subjectId,
        public Moment $from,
        public string|int|float|array|null $value,
    ) {}
}
