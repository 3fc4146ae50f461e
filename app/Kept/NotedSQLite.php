<?php

declare(strict_types=1);

namespace App\Kept;

use Illuminate\Database\SQLiteConnection;

final class NotedSQLite extends SQLiteConnection
{
    use NotesReads;
}
