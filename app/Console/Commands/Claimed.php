<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\People\RegisterOwner;
use Illuminate\Console\Command;

final class Claimed extends Command
{
    protected $signature = 'dripel:claimed';

    protected $description = 'Whether somebody owns this installation already, as an exit code';

    public function handle(): int
    {
        return RegisterOwner::isOpen() ? self::FAILURE : self::SUCCESS;
    }
}
