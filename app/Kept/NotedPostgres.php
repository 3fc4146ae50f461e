<?php

declare(strict_types=1);

namespace App\Kept;

use Illuminate\Database\PostgresConnection;

final class NotedPostgres extends PostgresConnection
{
    use NotesReads;
}
