<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Bike\AddBike;
use App\Actions\Chain\AddChain;
use App\Actions\Workshop\OpenWorkshop;
use App\Logbook\ActionContext;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Bike;
use App\Models\Chain;
use App\Models\Membership;
use App\Models\Role;
use App\Models\SignIn;
use App\Models\User;
use App\Models\Workshop;
use App\Support\AppClock;
use Dripel\Core\Logbook\ChainState;
use Dripel\Core\Logbook\Moment;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\TestCase;

/** A small workshop for tests: made, asked and signed in to through the app itself. Now is 25 November 2026, 12:00 UTC. */
final class Bench
{
    public const NOW = 1795608000;

    public User $owner;

    public Workshop $workshop;

    public function __construct(string $email = 'owner@test.example')
    {
        app(AppClock::class)->stopAt(self::NOW);
        $this->owner = User::query()
            ->create([
                'name' => ucfirst(strtok($email, '@')),
                'email' => $email,
                'password' => 'long-enough-1',
            ])
            ->refresh();
        $this->workshop = app(OpenWorkshop::class)($this->owner, 'Test shed', 'UTC');
    }

    public function by(?string $actionId = null): ActionContext
    {
        return new ActionContext($this->workshop, $this->owner, $actionId ?? (string) Str::uuid());
    }

    public function person(Role $role): User
    {
        $user = User::query()
            ->create([
                'name' => $role->value,
                'email' => "{$role->value}-{$this->workshop->id}@test.example",
                'password' => 'long-enough-1',
                'workshop_id' => $this->workshop->id,
            ])
            ->refresh();
        Membership::query()->create([
            'workshop_id' => $this->workshop->id,
            'user_id' => $user->id,
            'role' => $role,
        ]);

        return $user;
    }

    /** What the form of the plan's days and minutes sends, but for the days: the house rules, with no reserve. */
    public const TERMS = [
        'pot_time' => 'evening',
        'fixed' => 45,
        'dip' => 4,
        'batch' => 10,
        'swap' => 3,
        'topup' => 60,
        'strip' => 35,
        'margin' => 0,
    ];

    /**
     * What comes after a page, as its browser asks for it.
     *
     * @return array<string, mixed> by the name of the prop
     */
    public static function deferred(TestCase $test, string $path, string ...$props): array
    {
        app()->forgetScopedInstances();

        return self::partial($test, $path, $test->get($path)->assertOk()->viewData('page'), ...$props);
    }

    /**
     * The same of a page that is open already.
     *
     * @param array<string, mixed> $page
     *
     * @return array<string, mixed> by the name of the prop
     */
    public static function partial(TestCase $test, string $path, array $page, string ...$props): array
    {
        app()->forgetScopedInstances();

        return $test
            ->get($path, [
                'X-Inertia' => 'true',
                'X-Inertia-Version' => (string) $page['version'],
                'X-Inertia-Partial-Component' => $page['component'],
                'X-Inertia-Partial-Data' => implode(',', $props),
            ])
            ->assertOk()
            ->json('props');
    }

    /**
     * The lines of Next with what each stands for one by one.
     *
     * @param iterable<array<string, mixed>> $next
     *
     * @return list<array<string, mixed>>
     */
    public static function steps(iterable $next): array
    {
        $steps = [];
        foreach ($next as $line) {
            $line = collect($line)->toArray();
            array_push($steps, ...$line['steps'] ?: [$line['line']]);
        }

        return $steps;
    }

    /** A browser in which the owner is signed in. */
    public function signIn(): SignIn
    {
        return SignIn::query()->create([
            'user_id' => $this->owner->id,
            'token_hash' => Str::random(64),
            'phone' => false,
            'address' => '192.0.2.7',
            'expires_at' => self::NOW + 86_400,
            'seen_at' => self::NOW,
        ]);
    }

    public function bike(string $name = 'Heron', float $intervalKm = 300): Bike
    {
        $action = app(AddBike::class)($this->by(), [
            'bike.name' => $name,
            'bike.kind' => 'road',
            'bike.speeds' => 12,
            'bike.interval_km' => $intervalKm,
            'bike.interval_hours' => null,
            'bike.limit_school' => 'strict',
        ]);

        return Bike::query()->findOrFail($action->about->bike);
    }

    /** @param int|null $dippedAgo hours ago; null: in its box */
    public function chain(Bike $home, string $label, ?int $dippedAgo = 200, bool $fit = false): Chain
    {
        $action = app(AddChain::class)(
            $this->by(),
            $home,
            $label,
            12,
            116,
            null,
            $dippedAgo === null ? null : self::ago($dippedAgo),
            $fit ? self::ago($dippedAgo ?? 200) : null,
        );

        return Chain::query()->findOrFail($action->about->chain);
    }

    /** How often a random course is thrown: a database server, whose statements are the same each time, gets the first tenth of them. */
    public static function times(int $all): int
    {
        return DB::getDriverName() === 'pgsql' ? intdiv($all, 10) : $all;
    }

    public static function ago(float $hours): Moment
    {
        return new Moment(self::NOW - (int) (3600 * $hours));
    }

    public function state(Chain $chain): ChainState
    {
        $this->workshop->refresh();
        app()->forgetScopedInstances();

        return app(ReadBook::class)($this->workshop)->chain($chain->id, app(AppClock::class)->unixS());
    }

    /** @return array<string, string> a local day and time so many hours ago, as forms send them */
    public static function form(float $hoursAgo): array
    {
        return [
            'action_id' => (string) Str::uuid(),
            'date' => gmdate('Y-m-d', self::ago($hoursAgo)->unixS),
            'time' => gmdate('H:i', self::ago($hoursAgo)->unixS),
        ];
    }

    public function lastAction(): Action
    {
        return Action::query()->where('workshop_id', $this->workshop->id)->orderByDesc('revision')->firstOrFail();
    }

    /** How many rows each table of the logbook has: what "nothing is half stored" is checked with. */
    public static function rows(): string
    {
        return implode(
            ' ',
            array_map(fn(string $table) => DB::table($table)->count(), [
                'actions',
                'rides',
                'fittings',
                'dips',
                'strips',
                'topups',
                'noises',
                'readings',
                'retirements',
                'settings',
                'tracks',
                'bikes',
                'components',
                'jar_entries',
                'baths',
                'bath_entries',
                'prices',
                'protocols',
                'guided_jobs',
                'guided_taps',
            ]),
        );
    }
}
