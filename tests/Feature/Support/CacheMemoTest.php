<?php

declare(strict_types=1);

use App\Support\CacheMemo;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

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

it('has what one page worked out for the others at once, and works nothing out that one of them has', function (): void {
    // As a server runs it: in the tests' own transaction, and in a command, nobody takes turns.
    DB::swap(Mockery::mock(app('db'), ['transactionLevel' => 0]));
    (fn() => ($this->isRunningInConsole = false))->call(app());
    $request = fn(): CacheMemo => new CacheMemo(app(Repository::class));
    [$shed, $ahead] = [$request(), $request()];
    expect($ahead->of('plan of before', fn() => 'known'))->toBe('known');
    // What is made on the way to it belongs to it, and is there as well.
    $made = $shed->of('plan', fn() => 'plan by ' . $shed->of('alone', fn() => 'the Shed'));
    $again = fn(): string => 'made again';
    expect([$made, $ahead->of('plan', $again), $ahead->of('alone', $again)])->toBe(['plan by the Shed', 'plan by the Shed', 'the Shed']);
    // What cannot be made keeps nobody waiting.
    expect(fn() => $shed->of('plan that fails', fn() => throw new LogicException('impossible')))->toThrow(LogicException::class);
    expect($ahead->of('plan that fails', fn() => 'all the same'))->toBe('all the same');
});
