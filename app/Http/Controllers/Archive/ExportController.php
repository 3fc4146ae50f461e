<?php

declare(strict_types=1);

namespace App\Http\Controllers\Archive;

use App\Archive\ExportWorkshop;
use App\Archive\WorkshopFile;
use App\Http\Controllers\Controller;
use App\Support\AppClock;
use App\Support\CurrentWorkshop;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The workshop as a file to keep. */
final class ExportController extends Controller
{
    public function workshop(CurrentWorkshop $current, ExportWorkshop $export, AppClock $clock): StreamedResponse
    {
        $workshop = $current->workshop();

        return response()->streamDownload(
            function () use ($workshop, $export): void {
                echo json_encode(
                    $export->file($workshop),
                    JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
                );
            },
            "dripel-workshop-{$clock->now()->format('Y-m-d')}.json",
            ['Content-Type' => 'application/json'],
        );
    }

    public function table(string $table, CurrentWorkshop $current, ExportWorkshop $export): StreamedResponse
    {
        abort_unless(in_array($table, WorkshopFile::asCsv(), true), 404);
        $workshop = $current->workshop();

        return response()->streamDownload(
            function () use ($workshop, $table, $export): void {
                $out = fopen('php://output', 'w');
                assert(is_resource($out));
                $export->csv($workshop, $table, $out);
            },
            "dripel-{$table}.csv",
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }
}
