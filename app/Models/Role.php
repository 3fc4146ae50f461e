<?php

declare(strict_types=1);

namespace App\Models;

/** What a person may do in a workshop. */
enum Role: string
{
    /** Everything, people included. */
    case Owner = 'owner';
    /** Everything but people. */
    case Member = 'member';
    /** Look, not touch. */
    case Viewer = 'viewer';

    public function mayWrite(): bool
    {
        return $this !== self::Viewer;
    }
}
