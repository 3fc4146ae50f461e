<?php

declare(strict_types=1);

use App\Actions\Chain\StripChain;
use App\Models\Estimate;
use App\Models\Ride;
use Illuminate\Support\Str;
use Tests\Feature\Bench;

beforeEach(function (): void {
    // Wednesday 25 November 2026, noon in UTC.
    $this->bench = new Bench();
    $this->heron = $this->bench->bike('Heron');
    $this->night = $this->bench->bike('Night Owl');
    [$this->a, $this->c] = [$this->bench->chain($this->heron, 'A', 300, true), $this->bench->chain($this->heron, 'C', 280)];
    $this->owl = $this->bench->chain($this->night, 'A', 300, true);
    $this->actingAs($this->bench->owner);
    $this->ask = fn(string $text) => str_replace(
        "\u{a0}",
        ' ',
        json_encode(
            $this->postJson('/command/preview', [
                'action_id' => (string) Str::uuid(),
                'text' => $text,
            ])
                ->assertOk()
                ->json(),
            JSON_UNESCAPED_UNICODE,
        ),
    );
    $this->say = fn(string $text) => $this->post('/command', [
        'action_id' => (string) Str::uuid(),
        'text' => $text,
    ]);
});

it('says what it understood', function (string $text, string $sentence): void {
    $rows = Bench::rows();
    expect(($this->ask)($text))
        ->toContain('"sentence":"' . $sentence . '"')
        ->and(Bench::rows())
        ->toBe($rows);
})->with([
    ['ride heron 62 wet yesterday', 'Log 62 km wet on Heron, yesterday.'],
    ['Heron 62', 'Log 62 km dry on Heron, today.'],
    ['rode the night owl 12,5 km on monday', 'Log 12.5 km dry on Night Owl, 23 Nov.'],
    ['ride heron 62km rain at 7:40', 'Log 62 km wet on Heron, today 07:40.'],
    ['ride heron 10 miles 3 days ago', 'Log 16.1 km dry on Heron, 22 Nov.'],
    ['ride heron 62 2h10', 'Log 62 km dry on Heron in 2 h 10, today.'],
    ['ride heron 62 130 min at 2:10', 'Log 62 km dry on Heron in 2 h 10, today 02:10.'],
    ['ride heron 62 at 2h10 wet', 'Log 62 km wet on Heron, today 02:10.'],
    ['ride heron 62 18:30 yesterday 2.5 h', 'Log 62 km dry on Heron in 2 h 30, yesterday 18:30.'],
    ['ride 40 heron 24 nov', 'Log 40 km dry on Heron, yesterday.'],
    ['ride 40 heron 30.12.', 'Log 40 km dry on Heron, 30 Dec.'],
    ['ride heron 40 loud', 'Log 40 km dry on Heron, today, and it got loud.'],
    ['swap heron c', 'Swap Heron to C, today.'],
    ['swap heron', 'Swap Heron to C, today.'],
    ['loud heron yesterday', 'The chain of Heron got loud, yesterday.'],
    ['drip heron', 'Top up Heron A with drip, good for 200 km, today.'],
    ['measure heron a 0,25', 'Measured Heron A: 0.25 %, today.'],
    ['measure heron 0.25 %', 'Measured Heron A: 0.25 %, today.'],
    ['heron 240 km since monday', 'Heron: 240 km go to 3 days, 80.0 km each.'],
    ['pot saturday', 'Heat the pot on Sat 28 Nov; the rest is planned around it, 45 min more in all.'],
    ['heat the pot on 5 dec', 'Heat the pot on Sat 5 Dec; the rest is planned around it, 45 min more in all.'],
    [
        'plan 4 weeks',
        'Plan so far ahead. No ride is expected until Wed 23 Dec. Log rides, or write down a week on the page of a bike: then its pot days are planned.',
    ],
    ['catch up heron 30 since yesterday', 'Heron: 30 km go to 2 days, 15.0 km each.'],
]);

it('says what is missing or unknown, with a near guess', function (string $text, string $answer): void {
    expect(($this->ask)($text))->toContain('"sentence":null')->toContain($answer);
})->with([
    ['loud heron 2h10', 'Only a ride has a duration'],
    ['ride heron', 'How far?'],
    ['ride heron 1h30', 'How far, about?'],
    ['ride 62', 'Which bike? There are Heron, Night Owl.'],
    ['ride herron 62', '"guess":"ride heron 62"'],
    ['ride heron 62 yestreday', '"guess":"ride heron 62 yesterday"'],
    ['Swpa heron C', '"guess":"swap heron C"'],
    ['ride heron 62 zebra', '“zebra”. Type “help” for examples.","guess":null'],
    ['pot', 'On which day?'],
    ['pot yesterday', 'Name a day from today'],
    ['plan 99 weeks', '2 to 26 weeks'],
    ['plan satrday', '“satrday”'],
    ['measure heron', 'How worn, in percent?'],
    ['dip heron', 'Record a dip on the Shed or Pot page'],
    ['swap night owl', 'Nothing waxed hangs ready for Night Owl'],
    ['ride heron 40 31 feb', 'no such day'],
]);

it('answers what is next in the words of the Shed, and does nothing', function (string $text): void {
    ($this->say)('ride heron 62 wet yesterday');
    $rows = Bench::rows();
    $lines = collect($this->get('/')->inertiaProps('next'))
        ->pluck('line.title')
        ->all();
    $told = $this->postJson('/command/preview', ['action_id' => (string) Str::uuid(), 'text' => $text])
        ->assertOk()
        ->json();
    expect([$told['sentence'], array_column($told['next'], 'title')])
        ->toBe([null, $lines])
        ->and($lines)
        ->not->toBe([])
        ->and(Bench::rows())
        ->toBe($rows);
    ($this->say)($text)->assertSessionHasErrors('text');
})->with(['what’s next', 'What\'s next?', 'next']);

it('takes a time for a distance where the bike has a pace', function (): void {
    ($this->say)('ride heron 60 2h30')->assertSessionHasNoErrors();
    expect(($this->ask)('ride heron 1h30'))->toContain('"sentence":"Log about 36 km dry on Heron in 1 h 30, today."');
});

it('does what it said, and takes it back', function (): void {
    ($this->say)('ride heron 62 wet yesterday')->assertSessionHasNoErrors()->assertSessionHas('done');
    $ride = Ride::query()->live()->sole();
    expect([$ride->km, $ride->condition->value, $ride->precision->value])->toBe([62.0, 'wet', 'day']);
    ($this->say)('swap heron c')->assertSessionHasNoErrors();
    ($this->say)('measure heron 0.3')->assertSessionHasNoErrors();
    expect($this->bench->state($this->c)->wear->result?->valuePct)->toBe(0.3);
    ($this->say)('heron 92 since monday')->assertSessionHasNoErrors();
    expect(Estimate::query()->live()->count())->toBe(1);
    expect(($this->ask)('undo'))->toContain('Undo: estimated 92 km on Heron');
    ($this->say)('undo');
    ($this->say)('undo');
    expect(Estimate::query()->live()->count())
        ->toBe(0)
        ->and($this->bench->state($this->c)->wear->result)
        ->toBeNull();
    ($this->say)('nonsense')->assertSessionHasErrors('text');
    ($this->say)('ride heron 3000')->assertSessionHasErrors('distance');
    // The future is refused where it is looked at already.
    $this->postJson('/command/preview', [
        'action_id' => (string) Str::uuid(),
        'text' => 'ride heron 20 2027-01-01',
    ])
        ->assertStatus(422)
        ->assertJsonValidationErrors('text');
});

it('says what the form would say: bare steel, no wax, rain, a reading that hardly can be', function (string $text, array $warnings): void {
    app(StripChain::class)($this->bench->by(), $this->c, Bench::ago(5));
    $this->bench->chain($this->heron, 'D', null);
    expect(json_decode(($this->ask)($text), true)['cautions'])->toMatchArray($warnings);
})->with([
    ['swap heron c', ['Bare steel: this chain has no wax to ride on, and rusts overnight.']],
    ['swap heron d', ['This chain has no wax to ride on.']],
    ['ride heron 20 wet', ['Dry the chain today: wax gives little protection from rust.']],
    ['measure heron 0.9', ['Retire it: measured at its limit of 0.5 %. A worn chain wears out the cassette.']],
]);

it('gives examples that are of the workshop and that it understands', function (string $help): void {
    $answer = json_decode(($this->ask)($help), true);
    expect($answer)
        ->toMatchArray(['problem' => null, 'sentence' => null])
        ->and($answer['examples'])
        ->toBe([
            'what’s next',
            'ride heron 62 wet yesterday',
            'ride heron 40 2h10 yesterday at 14:30',
            'heron 240 since monday',
            'loud heron',
            'measure heron 0.25',
            'drip heron',
            'swap heron c',
            'pot saturday',
            'undo',
        ]);
    foreach (array_slice($answer['examples'], 1, -1) as $example) {
        expect(json_decode(($this->ask)($example), true)['sentence'])->not->toBeNull();
    }
})->with(['', 'help', 'Help!', 'what can I say?']);

it('finds chains, bikes and pages by their names', function (string $text, array $found): void {
    $places = json_decode(($this->ask)($text), true)['places'];
    expect(array_map(fn(array $place) => "{$place['what']} {$place['title']}", $places))->toBe($found);
})->with([
    ['her', ['bike Heron', 'chain Heron A', 'chain Heron C']],
    ['heron c', ['chain Heron C']],
    ['hist', ['page History']],
    ['prices', ['page Stock and prices']],
    ['x', []],
    ['zebra', []],
]);
