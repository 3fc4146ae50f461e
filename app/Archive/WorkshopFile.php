<?php

declare(strict_types=1);

namespace App\Archive;

use App\Logbook\EntryType;

/**
 * The file of a whole workshop, described in docs/workshop-file.md: its actions and every row of the logbook, those
 * that were taken back among them, so that figures, history and undo come back as they were.
 */
final class WorkshopFile
{
    public const FORMAT = 'dripel-workshop';

    /** Rises when a table or column changes its meaning; files of older versions must stay readable. */
    public const VERSION = 2;

    /** What files of version 1 do not have yet. */
    public const SINCE_2 = ['jar_entries', 'baths', 'bath_entries', 'prices', 'protocols'];

    /** Columns that files of version 1 do not have yet, with what they mean there. */
    public const COLUMNS_SINCE_2 = ['dips' => ['pot_id' => null, 'pickup_g' => null, 'rinsed' => 0]];

    /** Columns whose text is JSON and stands in the file as such. */
    public const JSON = ['about', 'effects', 'value', 'input', 'weekdays', 'steps'];

    public const ACTIONS = 'actions';

    /** @return list<string> in the order in which their rows can be written; each speaks only of those before it */
    public static function tables(): array
    {
        return [self::ACTIONS, ...array_map(fn(EntryType $type) => $type->value, EntryType::cases())];
    }

    /** Columns that belong to this installation and not to the file. */
    public const NOT_IN_FILE = ['workshop_id', 'user_id', 'user_name'];
}
