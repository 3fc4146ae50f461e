<?php

declare(strict_types=1);

namespace Tests\Browser\Pages;

use Facebook\WebDriver\Interactions\WebDriverActions;

/** The Shed, as somebody uses it: by bike and by the letter of a chain. */
final class ShedPage extends Page
{
    public function enterDemo(): self
    {
        $this->click('demo');
        $this->part('nav-shed');

        return $this;
    }

    /** Opens what Next says in one line into its steps. */
    public function unfoldNext(): self
    {
        $this->part('rail-Heron');
        $this->driver->executeScript('document.querySelectorAll(\'[data-test^="steps-"]\').forEach((one) => { one.open = true })');

        return $this;
    }

    public function left(string $bike): int
    {
        return (int) str_replace(',', '', $this->text("left-{$bike}"));
    }

    public function fitted(string $bike): string
    {
        return (string) $this->part("fitted-{$bike}")->getAttribute('data-chain');
    }

    public function ride(string $bike, string $distance, string $condition): self
    {
        return $this->click("ride-{$bike}")
            ->fill('distance', $distance)
            ->click("condition-{$condition}")
            ->submit('ride-form');
    }

    public function swap(string $bike, string $letter): self
    {
        return $this->click("swap-{$bike}")
            ->click("choose-{$letter}")
            ->submit('swap-form')
            ->awaitText('done', "Swapped {$bike} to {$letter}");
    }

    public function dipThePot(): self
    {
        return $this->click('dip-these')->click('dry')->submit('dip-form')->awaitText('done', 'Dipped');
    }

    /** With the mouse, in steps, as a hand would. */
    public function drag(string $chain, string $to): self
    {
        $this->driver->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$this->part("grab-{$chain}")]);
        $target = $this->part($to);
        (new WebDriverActions($this->driver))
            ->clickAndHold($this->part("grab-{$chain}"))
            ->moveByOffset(-12, 8)
            ->moveByOffset(-20, 10)
            ->moveToElement($target)
            ->release()
            ->perform();

        return $this;
    }

    /** How much of the drawn chain is coated, measured on the drawing. */
    public function drawnCoat(string $bike): float
    {
        return (float) $this->driver->executeScript(
            "const svg = document.querySelector('[data-test=\"fitted-{$bike}\"] svg'); return (svg.querySelector('clipPath rect').width.baseVal.value - 3) / 262",
        );
    }
}
