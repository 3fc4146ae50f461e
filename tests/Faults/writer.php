<?php

declare(strict_types=1);

// Logs rides into the workshop of the environment as fast as it can, and says the id of each once it is acknowledged. php writer.php [MOST]

use App\Actions\Ride\LogRide;
use App\Actions\Ride\RideFacts;
use App\Logbook\ActionContext;
use App\Models\Bike;
use App\Models\User;
use App\Models\Workshop;
use Dripel\Core\Interval\Condition;
use Dripel\Core\Logbook\Moment;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Str;

require dirname(__DIR__, 2) . '/vendor/autoload.php';
$app = require dirname(__DIR__, 2) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

[$workshop, $user, $bike] = [Workshop::query()->sole(), User::query()->firstOrFail(), Bike::query()->firstOrFail()];
echo "ready\n";
try {
    for ($n = 0; $n < (int) ($argv[1] ?? PHP_INT_MAX); $n++) {
        $id = (string) Str::uuid();
        app()->forgetScopedInstances();
        app(LogRide::class)(
            new ActionContext($workshop, $user, $id),
            new RideFacts($bike, new Moment(1_795_600_000), 0.01, null, Condition::Dry),
            loud: $n % 3 === 0,
        );
        echo "{$id}\n";
    }
} catch (Throwable $e) {
    fwrite(STDERR, "{$e->getMessage()}\n");
    exit(1);
}
