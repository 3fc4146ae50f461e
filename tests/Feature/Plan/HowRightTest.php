<?php

declare(strict_types=1);

use App\Logbook\ReadBook;
use App\Logbook\ReadRecorded;
use App\Models\Ride;
use App\Support\AppClock;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\Bench;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->actingAs($this->bench->owner);
    app(AppClock::class)->stopAt(Bench::NOW - 3600 * 5000);
    $this->heron = $this->bench->bike();
    $this->chain = $this->bench->chain($this->heron, 'A', 5000, fit: true);
    app(AppClock::class)->stopAt(Bench::NOW);
    // Each written down when it happened.
    $this->does = function (string $url, array $data, float $hoursAgo, string $method = 'post'): TestResponse {
        app(AppClock::class)->stopAt(Bench::NOW - (int) (3600 * $hoursAgo));
        $answer = $this->$method($url, $data + ['action_id' => (string) Str::uuid()] + Bench::form($hoursAgo))->assertSessionHasNoErrors();
        app(AppClock::class)->stopAt(Bench::NOW);

        return $answer;
    };
    $this->rides = function (int $days): void {
        for ($ago = $days; $ago > 0; $ago -= 2) {
            // Longer and longer: what is expected is always too little.
            $km = round(20 * 1.01 ** ($days - $ago), 1);
            ($this->does)('/rides', ['bike_id' => $this->heron->id, 'distance' => $km, 'condition' => 'dry'], 24 * $ago);
            $ago % 8 === 0 && ($this->does)('/dips', ['chains' => [$this->chain->id], 'dry' => true], 24 * $ago - 2);
        }
    };
    $this->props = fn(): array => Bench::deferred($this, '/gauge/how-right', 'how', 'replay');
    $this->how = fn(): array => ($this->props)()['how'];
    $this->setting = fn(SettingKey $key) => app(ReadBook::class)
        ->settings($this->bench->workshop->refresh())
        ->number($key, 0);
});

it('grades what was promised, proposes a margin, and takes it once', function (): void {
    ($this->rides)(200);
    $how = ($this->how)();
    $kinds = array_column($how['grades'], null, 'kind');
    expect(array_keys($kinds))->toBe(['good_until', 'wear', 'week', 'plan', 'ear', 'heat', 'bath', 'bottle']);
    expect($kinds['good_until']['share'])->toEndWith('%');
    expect($kinds['week']['sentences'])->not->toBe([]);
    expect($kinds['wear']['share'])->toBeNull();
    expect(count($how['worst']))->toBeGreaterThan(2);
    expect($how['chart']['lines'])->toHaveCount(2);
    expect($how['margin']['take'])->toContain('%');
    $replay = ($this->props)()['replay'];
    expect(array_column($replay['rows'], 'name'))->toHaveCount(6)->and($replay['text'])->toContain('ridden past the wax');
    // Nobody noted a price: no money is told.
    expect($replay['columns'])->toHaveCount(6)->and($replay['rows'][1]['cells'])->toHaveCount(6);
    $id = (string) Str::uuid();
    ($this->does)('/margin', ['accept' => false], 0);
    expect(($this->setting)(SettingKey::PlanMarginDeclined))->toBeGreaterThan(10.0);
    expect(($this->how)())->margin->toBeNull()->answers->toHaveCount(1);
    $this->post('/margin', ['accept' => true, 'action_id' => $id] + Bench::form(0))->assertSessionHasErrors('accept');

    // Taken back, it is proposed again.
    $declined = ($this->setting)(SettingKey::PlanMarginDeclined);
    ($this->does)("/actions/{$this->bench->lastAction()->id}/undo", [], 0);
    expect(($this->how)()['margin'])
        ->not->toBeNull()
        ->and(($this->how)()['answers'][0])
        ->toContain('declined from');
    ($this->does)('/margin', ['accept' => true, 'action_id' => $id], 0);
    expect(($this->setting)(SettingKey::PlanMarginPct))->toBe($declined);
    expect(($this->how)())->margin->toBeNull();
    // The same again, as a phone sends it that did not hear the answer.
    ($this->does)('/margin', ['accept' => true, 'action_id' => $id], 0);
});

it('reads the logbook as it was known: an edit and an undo later change nothing of it', function (): void {
    ($this->rides)(30);
    $thenS = Bench::NOW - 86400;
    $known = function () use ($thenS): array {
        $recorded = app(ReadRecorded::class)($this->bench->workshop->refresh());

        return [$recorded->fingerprint($thenS), $recorded->asKnown($thenS)->ridesOf($this->heron->id)->km()];
    };
    $before = $known();
    $rides = Ride::query()->live()->orderBy('at')->get();
    ($this->does)("/entries/rides/{$rides[3]->id}", [], 0, 'delete');
    ($this->does)("/actions/{$rides[5]->action_id}/undo", [], 0);
    ($this->does)('/rides', ['bike_id' => $this->heron->id, 'distance' => 999, 'condition' => 'dry'], 0);
    expect($known())->toBe($before);
    app(ReadBook::class)->forget();
    $today = app(ReadBook::class)($this->bench->workshop->refresh())
        ->ridesOf($this->heron->id)
        ->km();
    expect($today)->toEqualWithDelta($before[1] + 999 - $rides[3]->km - $rides[5]->km, 1e-6);
});

it('says when the first grades come', function (): void {
    $this->actingAs((new Bench('other@test.example'))->owner);
    expect(($this->how)())->grades->toBe([])->margin->toBeNull()->intro->toContain('first grades');
});
