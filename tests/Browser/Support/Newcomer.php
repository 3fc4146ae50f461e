<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** Somebody who opens Dripel for the first time: finds everything by the words on the screen, and counts what it takes. */
final class Newcomer
{
    private const PATIENCE_S = 40;

    /** What is seen in the dialog or menu that is open, else anywhere; the one that is found is marked. */
    private const SEEN = <<<'JS'
    const open = [...document.querySelectorAll('.v-overlay--active')].at(-1) ?? document
    const words = (e) => e.innerText.replace(/\s+/g, ' ').trim()
    const seen = (css) => [...open.querySelectorAll(css)].filter(
        (e) => e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden',
    )
    document.querySelectorAll('[data-newcomer]').forEach((e) => e.removeAttribute('data-newcomer'))

    JS;

    /** What can be pressed and says so; the shortest that begins so. */
    private const PRESSED = <<<'JS'
    seen('a[href], button:not([disabled]), label, summary, .v-list-item')
        .filter((e) => words(e) === arguments[0] || words(e).startsWith(arguments[0] + ' ') || e.ariaLabel === arguments[0])
        .sort((a, b) => words(a).length - words(b).length)[0]
        ?.setAttribute('data-newcomer', '')
    JS;

    /** The field under a label. */
    private const FIELD = <<<'JS'
    const label = seen('label').find((e) => words(e) === arguments[0])
    const field = label && (document.getElementById(label.htmlFor) ?? label.querySelector('input'))
    field?.setAttribute('data-newcomer', '')
    JS;

    public int $steps = 0;

    public function __construct(private readonly RemoteWebDriver $driver) {}

    public function press(string ...$words): self
    {
        foreach ($words as $one) {
            $this->steps++;
            $this->with(self::PRESSED, $one, fn($element) => $element->click());
        }

        return $this;
    }

    public function type(string $label, string $value): self
    {
        $this->steps++;
        $this->with(self::FIELD, $label, function ($field) use ($value): void {
            $field->click();
            $field->sendKeys([Keys::CONTROL, 'a', Keys::NULL, Keys::DELETE]);
            $field->sendKeys($value);
        });

        return $this;
    }

    public function sees(string $text): self
    {
        $said = fn(): string => (string) preg_replace(
            '/[\s\x{a0}]+/u',
            ' ',
            (string) $this->driver->executeScript('return document.body.innerText'),
        );
        $this->driver->wait(self::PATIENCE_S, 50)->until(fn() => str_contains($said(), $text), "“{$text}” was never seen");

        return $this;
    }

    /** @param callable(WebDriverElement): mixed $do */
    private function with(string $find, string $words, callable $do): void
    {
        $this->driver->wait(self::PATIENCE_S, 50)->until(function () use ($find, $words, $do): bool {
            $this->driver->executeScript(self::SEEN . $find, [$words]);
            $found = $this->driver->findElements(By::cssSelector('[data-newcomer]'))[0] ?? null;
            if ($found === null) {
                return false;
            }
            try {
                $this->driver->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$found]);
                $do($found);
            } catch (WebDriverException) {
                // Still moving, or drawn anew: once more.
                return false;
            }

            return true;
        }, "nothing says “{$words}”");
    }
}
