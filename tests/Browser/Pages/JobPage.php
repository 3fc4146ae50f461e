<?php

declare(strict_types=1);

namespace Tests\Browser\Pages;

use Facebook\WebDriver\Remote\RemoteWebElement;

/** A guided job, tapped through. */
final class JobPage extends Page
{
    /** The longest step takes two hours of its own, 36 s at the pace of the tests, and a slow machine its time besides. */
    private const STEP_S = 120;

    /** No step has so many boxes, however often it is drawn anew under a hand. */
    private const BOXES = 100;

    /** Waits for a step of this kind. */
    public function at(string $code): self
    {
        $this->part("step-{$code}");

        return $this;
    }

    public function position(): int
    {
        return (int) $this->driver->executeScript("return document.querySelector('[data-position]')?.dataset.position ?? -1");
    }

    public function left(): int
    {
        return (int) $this->part('timer')->getAttribute('data-left');
    }

    /** Taps what is asked for and goes on, until the next step shows. */
    public function done(string $key = ''): self
    {
        $position = $this->position();
        $this->tickAll();
        $this->believeTheBath();
        $key === '' ? $this->click('job-done') : $this->press($key);

        $this->inPage(
            'the step after',
            <<<'JS'
            const position = document.querySelector('[data-position]')?.dataset.position ?? -1
            return document.querySelector('[data-test=job-over]') !== null || Number(position) !== arguments[0]
            JS
            ,
            [$position],
        );

        return $this;
    }

    /** Beside a bath the page is drawn anew every second or so: until each of them is ticked. */
    private function tickAll(): void
    {
        $next = fn() => $this->inPage('a box to tick', "return document.querySelector('.ticks input:not(:checked)') ?? 'none'");
        for ($ticked = 0; ($box = $next()) instanceof RemoteWebElement && $ticked < self::BOXES; $ticked++) {
            $this->steadily(fn() => $box->click());
        }
    }

    /** A bath that its watts say is solid is believed hot by a thermometer. */
    private function believeTheBath(): void
    {
        if ($this->has('solid')) {
            $this->fill('celsius', '80')->click('keep-celsius');
            $this->await('a bath that is believed', fn() => $this->has('job-done'));
        }
    }

    /** Does a step as it asks: sees the sign it waits for, and taps again once its time is up, be that at once. */
    public function doAsAsked(): self
    {
        $position = $this->position();
        $ready = "return document.querySelector('[data-test=job-done]')?.disabled === false";

        return $this->await(
            'the step after',
            function () use ($position, $ready): bool {
                if ($this->position() === $position && $this->driver->executeScript($ready)) {
                    $this->tickAll();
                    $this->click('job-done');
                }

                return $this->position() !== $position;
            },
            self::STEP_S,
        );
    }

    /** Led on until a step of this kind shows, or all is over. */
    public function lead(string $code): self
    {
        while (!$this->has("step-{$code}") && !$this->has('job-over')) {
            $this->doAsAsked();
        }

        return $this;
    }

    /** Goes on from step to step until one of this kind shows. */
    public function until(string $code): self
    {
        while (!$this->has("step-{$code}")) {
            $this->done();
        }

        return $this;
    }

    /** Until the server has every tap: whoever leaves before may find the shed as it was. */
    public function sent(): static
    {
        $taken =
            "return Object.keys(localStorage).filter((key) => key.startsWith('dripel-job-')).every((key) => localStorage[key] === '[]')";

        $this->inPage('all taps taken', $taken);

        return $this;
    }
}
