<?php

declare(strict_types=1);

// Does something to the database of the environment and stops dead in the middle of it: says "ready" once it has
// written so many rows of a table, and waits to be killed. php crash.php TASK TABLE ROWS [FILE]

use App\Actions\Ride\LogRide;
use App\Actions\Ride\RideFacts;
use App\Archive\ExportWorkshop;
use App\Archive\RestoreWorkshop;
use App\Logbook\ActionContext;
use App\Models\Bike;
use App\Models\User;
use App\Models\Workshop;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require dirname(__DIR__, 3) . '/vendor/autoload.php';
$app = require dirname(__DIR__, 3) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

require __DIR__ . '/figures.php';

[, $task, $needle, $rows] = $argv + [2 => 'never', 3 => '1'];
$seen = 0;
DB::listen(function (QueryExecuted $query) use ($needle, $rows, &$seen): void {
    if (str_contains($query->sql, $needle) && ++$seen === (int) $rows) {
        echo "ready\n";
        sleep(60);
    }
});

match ($task) {
    'action' => app(LogRide::class)(
        new ActionContext(Workshop::query()->sole(), User::query()->sole(), (string) Str::uuid()),
        new RideFacts(Bike::query()->firstOrFail(), new Moment(1795600000), 77.77, null, Condition::Dry),
        loud: true,
    ),
    'import' => app(RestoreWorkshop::class)(Workshop::query()->orderByDesc('id')->firstOrFail(), (string) file_get_contents($argv[4])),
    'export' => file_put_contents($argv[4], json_encode(app(ExportWorkshop::class)->file(Workshop::query()->firstOrFail()))),
    'figures' => print json_encode(figuresOf(Workshop::query()->sole())) . "\n",
    'migration' => app(Kernel::class)->call('dripel:migrate'),
    default => throw new InvalidArgumentException("There is no task {$task}."),
};
echo "done\n";
