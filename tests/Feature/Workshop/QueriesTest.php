<?php

declare(strict_types=1);

use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Bench;

require_once dirname(__DIR__) . '/furnish.php';

it('asks the database nothing twice for a page', function (string $path): void {
    $bench = new Bench();
    $all = furnish($bench);
    $this->actingAs($bench->owner);
    $asked = [];
    DB::listen(function (QueryExecuted $query) use (&$asked): void {
        $asked[] = $query->sql . ' ' . json_encode($query->bindings);
    });
    app()->forgetScopedInstances();
    $this->get(str_replace(['{bike}', '{chain}'], [(string) $all['bike'], (string) $all['chain']], $path))->assertOk();
    $twice = array_filter(array_count_values($asked), fn(int $times) => $times > 1);
    expect(array_keys($twice))->toBe([]);
})->with([
    '/',
    '/pot',
    '/gauge',
    '/rides',
    '/ahead',
    '/ahead/what-if',
    '/books',
    '/books/money',
    '/chains/{chain}',
    '/bikes/{bike}',
    '/history',
    '/settings',
    '/tracks',
]);
