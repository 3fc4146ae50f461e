<?php

declare(strict_types=1);

use Dripel\Core\Logbook\DatedSetting;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\Part;
use Dripel\Core\Logbook\PartKind;
use Dripel\Core\Logbook\Recorded;
use Dripel\Core\Logbook\RecordedBook;
use Dripel\Core\Logbook\SettingKey;

it('knows the parts that were written down by then, each as it was described', function (): void {
    $recorded = new RecordedBook(
        [],
        [],
        [new Recorded(new DatedSetting(SettingKey::LinkSpeeds, 33, new Moment(0), 12), 100)],
        [],
        [],
        [],
        parts: [new Recorded([31, PartKind::Cassette], 100), new Recorded([33, PartKind::QuickLink], 200)],
    );
    $known = fn(int $atS): array => array_map(fn(Part $part) => [$part->id, $part->kind, $part->speeds], $recorded->asKnown($atS)->parts);
    expect([$known(50), $known(150), $known(250)])->toBe([
        [],
        [[31, PartKind::Cassette, null]],
        [[31, PartKind::Cassette, null], [33, PartKind::QuickLink, 12]],
    ]);
});
