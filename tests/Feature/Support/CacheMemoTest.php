<?php

declare(strict_types=1);

use App\Support\CacheMemo;
use Illuminate\Contracts\Cache\Repository;

it('keeps from one request to the next what was worked out, each sort of thing for itself', function (): void {
    $request = fn(): CacheMemo => new CacheMemo(app(Repository::class));
    $made = 0;
    $make = function () use (&$made): int {
        return ++$made;
    };
    $first = $request();
    expect([$first->of('wear of A', $make), $first->of('wear of A', $make)])->toBe([1, 1]);
    $first->keep();
    // However many plans are tried in between, what a chain's wear took to work out stays.
    $tried = $request();
    array_map(fn(int $n) => $tried->of("plan {$n}", $make), range(1, 500));
    $tried->keep();
    $later = $request();
    expect($later->of('wear of A', $make))
        ->toBe(1)
        ->and($later->of('plan 500', $make))
        ->toBe(501)
        // All that one request asked for, so that the next one has it again.
        ->and($later->of('plan 1', $make))
        ->toBe(2);
    // What nobody asks for any more goes first.
    $next = $request();
    $next->of('plan 7', $make);
    array_map(fn(int $n) => $next->of("plan {$n}", $make), range(1001, 1399));
    $next->keep();
    $last = $request();
    expect($last->of('plan 7', $make))->toBe(8)->and($last->of('plan 9', $make))->toBe($made)->toBeGreaterThan(800);
    // What another request kept while this one was at work is kept as well.
    [$one, $other] = [$request(), $request()];
    $one->of('plan of one', $make);
    $other->of('plan of another', fn() => 'other');
    $other->keep();
    $one->keep();
    expect($request()->of('plan of another', $make))->toBe('other');
    // Another version of the program may come to something else by the same key.
    config(['dripel.code' => 'another']);
    expect($request()->of('plan of another', fn() => 'anew'))->toBe('anew');
});
