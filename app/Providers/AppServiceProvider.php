<?php

declare(strict_types=1);

namespace App\Providers;

use App\Cost\ReadPrices;
use App\Http\Middleware\KeepPage;
use App\Kept\NotedPostgres;
use App\Kept\NotedSQLite;
use App\Logbook\ReadBook;
use App\Logbook\Snapshots;
use App\Models\User;
use App\People\RememberedUsers;
use App\Plan\ReadPlan;
use App\Pot\ReadBaths;
use App\Support\AppClock;
use App\Support\CacheMemo;
use App\Support\CountingStore;
use App\Support\CurrentWorkshop;
use App\Support\DatabaseFile;
use App\Text\UnitTranslator;
use App\Wear\ReadWear;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\ConnectionEstablished;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Illuminate\Translation\Translator;
use Psr\Clock\ClockInterface;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(
            AppClock::class,
            fn() => new AppClock(
                config('dripel.clock.start'),
                config()->float('dripel.clock.speed'),
                config('dripel.clock.since') === null ? null : (float) config('dripel.clock.since'),
            ),
        );
        $this->app->alias(AppClock::class, ClockInterface::class);
        $this->app->extend('translator', fn(Translator $usual) => UnitTranslator::of($usual));
        $this->app->alias('translator', UnitTranslator::class);
        $this->app->scoped(CurrentWorkshop::class);
        $this->app->scoped(ReadBook::class);
        $this->app->scoped(ReadBaths::class);
        $this->app->scoped(ReadPrices::class);
        $this->app->scoped(ReadWear::class);
        $this->app->scoped(ReadPlan::class);
        $this->app->scoped(CacheMemo::class);
        $this->app->scoped(Snapshots::class);
    }

    public function boot(): void
    {
        Connection::resolverFor('sqlite', fn(mixed ...$how) => new NotedSQLite(...$how));
        Connection::resolverFor('pgsql', fn(mixed ...$how) => new NotedPostgres(...$how));
        // In the memory that all processes share, where PHP has one.
        $this->app
            ->when(KeepPage::class)
            ->needs(Repository::class)
            ->give(
                fn() => config()->boolean('dripel.keep_pages') && function_exists('apcu_enabled') && apcu_enabled()
                    ? Cache::build(['driver' => 'apc'])
                    : null,
            );
        foreach ([CacheMemo::class, Snapshots::class] as $kept) {
            $this->app->terminating(fn() => $this->app->resolved($kept) && $this->app->make($kept)->keep());
        }
        // Before it begins: a transaction that has read already cannot wait for its turn to write.
        Event::listen(
            ConnectionEstablished::class,
            fn(ConnectionEstablished $event) => $event->connection->beforeStartingTransaction(
                fn() => $this->app->resolved(ReadBook::class) && $this->app->make(ReadBook::class)->settle(),
            ),
        );
        Cache::extend(
            'database',
            fn(Application $app, array $config) => Cache::repository(
                new CountingStore(DB::connection(), $config['table'], config()->string('cache.prefix')),
                $config,
            ),
        );
        Auth::provider('remembered', fn() => $this->app->make(RememberedUsers::class));
        // The worker ends with the file that it opened, and is started anew (bin/start).
        if ($this->app->runningInConsole()) {
            $file = new DatabaseFile();
            Queue::looping(function () use ($file): void {
                app('queue.worker')->shouldQuit = $file->isReplaced();
            });
        }
        Model::shouldBeStrict(!$this->app->isProduction());
        Vite::useManifestFilename('manifest.json');
        // Ten tries a minute is plenty for a person and too few for a machine that guesses.
        RateLimiter::for(
            'sign-in',
            fn(Request $request) => [
                Limit::perMinute(10)->by('ip ' . $request->ip()),
                Limit::perMinute(5)->by('email ' . self::account($request) . ' ' . $request->ip()),
                // Of one account from wherever: whoever has many addresses guesses no faster.
                Limit::perHour(30)->by('account ' . self::account($request)),
            ],
        );
        // Whoever asks by a passkey has not said who they are; each answer costs a look at it.
        RateLimiter::for('passkeys', fn(Request $request) => Limit::perMinute(20)->by('passkey ' . $request->ip()));
        // A probe sends every second or two; more than ten of them, or one gone mad, wait.
        RateLimiter::for(
            'devices',
            fn(Request $request) => [
                Limit::perMinute(600)->by('token ' . hash('sha256', (string) $request->bearerToken())),
                Limit::perMinute(1200)->by('ip ' . $request->ip()),
            ],
        );
    }

    /** Whom it is about, signed in or not. */
    private static function account(Request $request): string
    {
        $user = $request->user();

        return mb_strtolower($user instanceof User ? $user->email : trim($request->string('email')->toString()));
    }
}
