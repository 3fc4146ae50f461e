<?php

declare(strict_types=1);

namespace App\Kept;

/** A connection that tells what it was asked and what it answered (Reads). */
trait NotesReads
{
    /**
     * @param string $query
     * @param array<mixed> $bindings
     * @param bool $useReadPdo
     *
     * @return array<mixed>
     */
    public function select($query, $bindings = [], $useReadPdo = true)
    {
        $rows = parent::select($query, $bindings, $useReadPdo);
        Reads::note($query, $bindings, $rows);

        return $rows;
    }

    /**
     * @param string $query
     * @param array<mixed> $bindings
     * @param bool $useReadPdo
     */
    public function cursor($query, $bindings = [], $useReadPdo = true)
    {
        Reads::tooMany();

        return parent::cursor($query, $bindings, $useReadPdo);
    }
}
