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
    public function __construct(private readonly CurrentWorkshop $current, private readonly ExportWorkshop $export, private readonly AppClock $clock) {}

    public function workshop(): StreamedResponse
    {
        $workshop = $this->current->workshop();

        return response()->streamDownload(function () use ($workshop): void {
            echo json_encode($this->export->file($workshop), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
        }, "dripel-workshop-{$this->clock->now()->format('Y-m-d')}.json", ['Content-Type' => 'application/json']);
    }

    public function table(string $table): StreamedResponse
    {
        abort_unless(in_array($table, WorkshopFile::tables(), true), 404);
        $workshop = $this->current->workshop();

        return response()->streamDownload(function () use ($workshop, $table): void {
            $out = fopen('php://output', 'w');
            assert(is_resource($out));
            $this->export->csv($workshop, $table, $out);
        }, "dripel-{$table}.csv", ['Content-Type' => 'text/csv; charset=utf-8']);
    }
}
