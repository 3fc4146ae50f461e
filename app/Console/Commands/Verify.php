<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\VerifyFigures;
use App\Models\Workshop;
use Illuminate\Console\Command;

final class Verify extends Command
{
    protected $signature = 'dripel:verify';

    protected $description = 'Hold every workshop’s figures against the same worked out from its entries alone';

    public function handle(VerifyFigures $verify): int
    {
        $sound = true;
        foreach (Workshop::query()->orderBy('id')->get() as $workshop) {
            $differ = $verify($workshop);
            $sound = $sound && $differ === [];
            $this->line(
                $differ === []
                    ? "Workshop {$workshop->id}: all figures are what the entries say."
                    : "Workshop {$workshop->id}: not what the entries say: " .
                        implode(', ', $differ) .
                        '. What was kept packed is thrown away, so that pages go by the entries again.',
            );
        }

        return $sound ? self::SUCCESS : self::FAILURE;
    }
}
