<?php

declare(strict_types=1);

use App\Guided\GuidedKind;
use App\Models\Bike;
use App\Models\GuidedJob;
use App\Models\PushSubscription;
use App\Push\TellBrowsers;
use App\Support\AppClock;
use Dripel\Core\Guided\JobStep;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;
use Tests\Browser\Support\Ports;
use Tests\Feature\Bench;
use Tests\Feature\Push\Browser;

beforeEach(function (): void {
    $this->bench = new Bench();
    $this->folder = sys_get_temp_dir() . '/dripel-push-' . bin2hex(random_bytes(5));
    config(['dripel.push.keys' => "{$this->folder}/keys.json"]);
    (new Process(['bash', '-c', '. bin/lib.sh; need_certificate "$0"', $this->folder], base_path(), null, null, 120))->mustRun();
    $this->port = Ports::free();
    $this->service = new Process(
        ['node', __DIR__ . '/service.mjs', (string) $this->port, "{$this->folder}/cert.pem", "{$this->folder}/key.pem", $this->folder],
        timeout: null,
    );
    $this->service->start();
    Ports::await($this->port);
    putenv("NODE_EXTRA_CA_CERTS={$this->folder}/root.pem");
    $this->browser = new Browser();
    $this->post('/sign-in', ['email' => $this->bench->owner->email, 'password' => 'long-enough-1'])->assertRedirect('/');
    // The rules for an address let no stand-in on this machine through: it takes the real one's place once it is kept.
    $this->subscribe = function (string $path): void {
        $this->postJson('/push', $this->browser->subscription('https://push.example.org/one'))->assertNoContent();
        PushSubscription::query()->update(['endpoint' => "https://127.0.0.1:{$this->port}{$path}"]);
    };
    $this->getsWet = fn(Bike $bike) => $this->post('/rides', [
        'action_id' => (string) Str::uuid(),
        'bike_id' => $bike->id,
        'date' => '2026-11-25',
        'time' => '10:00',
        'distance' => '40',
        'condition' => 'wet',
    ])->assertSessionHasNoErrors();
    $this->got = function (): array {
        app()->forgetScopedInstances();
        $files = glob("{$this->folder}/[0-9]*.json");
        natsort($files);

        return array_map(function (string $file): array {
            $one = json_decode(file_get_contents($file), true);
            unlink($file);

            return $one;
        }, array_values($files));
    };
});

afterEach(function (): void {
    $this->service->stop(0);
    putenv('NODE_EXTRA_CA_CERTS');
    array_map(unlink(...), glob("{$this->folder}/{,.}[!.]*", GLOB_BRACE));
    rmdir($this->folder);
});

it('tells a closed browser once when a timer has run out, and once a day what is for today', function (): void {
    $tell = app(TellBrowsers::class);
    expect($tell(true))->toBe(0);
    $key = $this->getJson('/push/key')->assertOk()->json('key');
    expect(substr(sprintf('%o', fileperms("{$this->folder}/keys.json")), -4))->toBe('0600');
    ($this->subscribe)('/one');
    $bike = $this->bench->bike();
    $this->bench->chain($bike, 'A', fit: true);
    ($this->getsWet)($bike);
    $job = GuidedJob::query()->create([
        'id' => (string) Str::uuid(),
        'workshop_id' => $this->bench->workshop->id,
        'user_id' => $this->bench->owner->id,
        'kind' => GuidedKind::Strip,
        'title' => '',
        'steps' => [(new JobStep('rest', 300))->toArray()],
        'chains' => [],
        'terms' => [],
        'started_at' => Bench::NOW,
        'begun_at' => Bench::NOW,
    ]);
    expect($tell(false))->toBe(0);
    app(AppClock::class)->stopAt(Bench::NOW + 301);
    expect($tell(false))->toBe(1)->and($tell(false))->toBe(0);
    [$sent] = ($this->got)();
    $message = $this->browser->read(base64_decode($sent['body']));
    expect($message)
        ->toMatchArray(['title' => 'Time is up', 'text' => 'Let it stand', 'url' => "/jobs/{$job->id}", 'tag' => "job-{$job->id}"])
        ->and($sent['headers'])
        ->toMatchArray(['content-encoding' => 'aes128gcm', 'urgency' => 'high', 'ttl' => '900'])
        ->and(Browser::claims($sent['headers']['authorization']))
        ->toMatchArray(['aud' => "https://127.0.0.1:{$this->port}", 'sub' => config('dripel.push.contact')])
        ->and($sent['headers']['authorization'])
        ->toEndWith("k={$key}");

    // What is for today is told in the morning; a page that is opened then does not say it again.
    $tomorrow = Bench::NOW + 86400;
    app(AppClock::class)->stopAt($tomorrow);
    app()->forgetScopedInstances();
    $due = $this->getJson('/reminders')->json();
    expect($tell(true))->toBe(count($due))->and($tell(true))->toBe(0)->and($due)->not->toBe([]);
    $told = array_map(fn(array $one) => $this->browser->read(base64_decode($one['body']))['tag'], ($this->got)());
    expect($told)
        ->toEqualCanonicalizing(array_column($due, 'tag'))
        ->and($this->getJson('/reminders')->json())
        ->toBe([]);
});

it('forgets a browser that is gone, signed out or shown out, and sends nowhere but to public services', function (): void {
    ($this->subscribe)('/gone');
    $this->bench->chain($bike = $this->bench->bike(), 'A', fit: true);
    ($this->getsWet)($bike);
    expect(app(TellBrowsers::class)(true))
        ->toBeGreaterThan(0)
        ->and(PushSubscription::query()->count())
        ->toBe(0);
    // One that is busy is asked again, but not at once, and then told.
    ($this->subscribe)('/busy');
    $tell = app(TellBrowsers::class);
    expect($tell(true))->toBeGreaterThan(0)->and($tell(true))->toBe(0);
    PushSubscription::query()->update(['endpoint' => "https://127.0.0.1:{$this->port}/one"]);
    app(AppClock::class)->stopAt(Bench::NOW + 61);
    expect($tell(true))->toBeGreaterThan(0)->and($tell(true))->toBe(0);
    ($this->subscribe)('/one');
    $this->deleteJson('/push')->assertNoContent();
    expect(PushSubscription::query()->count())->toBe(0);
    ($this->subscribe)('/one');
    $this->post('/sign-out');
    expect(PushSubscription::query()->count())->toBe(0);

    $this->post('/sign-in', ['email' => $this->bench->owner->email, 'password' => 'long-enough-1']);
    $bad = ['http://push.example.org/x', 'https://127.0.0.1/x', 'https://localhost/x', 'https://pot.local/x', 'https://[::1]/x'];
    foreach ([...$bad, 'https://push.example.org:8443/x', 'https://a@push.example.org/x', 'https://2130706433/x', 'x'] as $endpoint) {
        $this->postJson('/push', $this->browser->subscription($endpoint))->assertUnprocessable();
    }
    $this->postJson('/push', [
        'endpoint' => 'https://push.example.org/x',
        'keys' => ['p256dh' => 'x', 'auth' => []],
    ])->assertUnprocessable();
});
