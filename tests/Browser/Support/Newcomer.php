<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** Somebody who opens Dripel for the first time: finds everything by the words on the screen, and counts what it takes. */
final class Newcomer
{
    private const PATIENCE_S = 40;

    /** What is seen in the dialog or menu that is open, else anywhere. */
    private const SEEN = <<<'JS'
    const open = [...document.querySelectorAll('.v-overlay--active')].at(-1) ?? document
    const words = (e) => e.innerText.replace(/\s+/g, ' ').trim()
    const seen = (css) => [...open.querySelectorAll(css)].filter(
        (e) => e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden',
    )

    JS;

    /** What can be pressed and says so; the shortest that begins so. */
    private const PRESSED = <<<'JS'
    return atHand(
        seen('a[href], button:not([disabled]), label, summary, .v-list-item')
            .filter((e) => words(e) === arguments[0] || words(e).startsWith(arguments[0] + ' ') || e.ariaLabel === arguments[0])
            .sort((a, b) => words(a).length - words(b).length)[0],
    )
    JS;

    /** The field under a label. */
    private const FIELD = <<<'JS'
    const label = seen('label').find((e) => words(e) === arguments[0])
    return atHand(label && (document.getElementById(label.htmlFor) ?? label.querySelector('input')))
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
        $this->until("“{$text}” was never seen", "return document.body.innerText.replace(/\\s+/g, ' ').includes(arguments[0])", $text);

        return $this;
    }

    /** @param callable(WebDriverElement): mixed $do */
    private function with(string $find, string $words, callable $do): void
    {
        for ($once = 0; ; $once++) {
            try {
                $do($this->until("nothing says “{$words}”", InPage::AT_HAND . self::SEEN . $find, $words));

                return;
            } catch (StaleElementReferenceException | ElementNotInteractableException | ElementClickInterceptedException $e) {
                // Still moving, or drawn anew: once more.
                $once < 100 ?: throw $e;
                usleep(50_000);
            }
        }
    }

    private function until(string $never, string $script, string $words): mixed
    {
        return InPage::await($this->driver, $script, [$words], self::PATIENCE_S) ??
            throw new TimeoutException("{$never}\n" . InPage::whereItStands($this->driver));
    }
}
