<?php

declare(strict_types=1);

use Tests\Browser\Pages\Page;
use Tests\Browser\Support\Chromium;
use Tests\Browser\Support\Newcomer;
use Tests\Browser\Support\Server;

// The steps are counted in docs/words.md.
it('is understood without help, from an empty workshop and by its words alone', function (Closure $task, int $most): void {
    $server = Server::start('2026-11-25T17:20:00+00:00', demo: false);
    $chromium = Chromium::start();
    try {
        Page::open($chromium->driver, $server->url)
            ->fill('name', 'Mave')
            ->fill('email', 'mave@test.example')
            ->fill('password', 'long-enough-1')
            ->fill('workshop', 'Barn')
            ->click('submit');
        $newcomer = new Newcomer($chromium->driver);
        $task($newcomer);
        expect($newcomer->steps)->toBeLessThanOrEqual($most);
    } finally {
        $chromium->stop();
        $server->stop();
    }
})->with([
    'a first bike and its first ride' => [
        fn(Newcomer $new) => $new
            ->sees('Set up in three steps')
            ->press('Add a bike')
            ->type('Name', 'Gull')
            ->press('Add a bike')
            ->sees('Gull')
            ->press('Add a chain', 'waxed', 'Add a chain')
            ->sees('300 km of wax left on A')
            ->press('Ride')
            ->type('Distance', '42')
            ->press('Log ride')
            ->sees('258 km of wax left on A'),
        9,
    ],
    'the first pot day' => [
        fn(Newcomer $new) => $new
            ->press('Add a bike')
            ->type('Name', 'Gull')
            ->press('Add a bike', 'Add a chain', 'stripped bare', 'Add a chain')
            ->sees('bare')
            ->press('Pot')
            ->sees('Next at the bench')
            ->press('Add pot')
            ->type('Name', 'Shed pot')
            ->type('Width inside', '130')
            ->type('Height inside', '105')
            ->press('Add pot', 'Record for pot')
            ->type('Wax', '620')
            ->press('Save')
            ->sees('620 g')
            ->press('Plan pot day')
            ->sees('Begun now')
            ->press('Begin pot day')
            ->sees('Before the heat'),
        17,
    ],
    'a wrong chain put right' => [
        function (Newcomer $new): void {
            $new->press('Add a bike')->type('Name', 'Gull')->press('Add a bike');
            $new->press('Add a chain', 'waxed', 'Add a chain')->sees('of wax left on A');
            $new->press('Add a chain', 'waxed', 'Add a chain')->sees('Swap');
            $new->steps = 0;
            $new->press('More for Gull', 'Wrong chain recorded', 'B', 'Correct chain')->sees('of wax left on B');
        },
        4,
    ],
    'is my chain worn?' => [
        function (Newcomer $new): void {
            $new->press('Add a bike')->type('Name', 'Gull')->press('Add a bike');
            $new->press('Add a chain', 'waxed', 'Add a chain')->sees('of wax left on A');
            $new->steps = 0;
            $new->press('Gauge')
                ->sees('Instruments')
                ->press('Measure', 'A digital gauge')
                ->type('Shown, %', '0.62')
                ->sees('Retire it')
                ->press('Record reading');
            // Half a percent on a new chain is hardly so: looked at again, it stays.
            $new->press('Checked again: keep this reading', 'Record reading');
            $new->sees('past its limit');
        },
        7,
    ],
    'what does waxing cost me?' => [
        function (Newcomer $new): void {
            $new->press('Add a bike')->type('Name', 'Gull')->press('Add a bike');
            $new->press('Add a chain', 'waxed', 'Add a chain')->sees('of wax left on A');
            $new->press('Ride')->type('Distance', '42')->press('Log ride')->sees('258 km');
            $new->steps = 0;
            $new->press('Books', 'Money')->sees('Set what a chain costs')->press('Set price')->type('Price', '30');
            $new->press('Set price')->sees('€30.00')->press('Money')->sees('cost €30.00 as you waxed them');
        },
        6,
    ],
]);
