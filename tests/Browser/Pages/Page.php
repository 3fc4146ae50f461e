<?php

declare(strict_types=1);

namespace Tests\Browser\Pages;

use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Support\InPage;
use Tests\Feature\Text\CodeNames;

/** What a person sees and does on any page. Parts are found by their data-test name. */
class Page
{
    /** A slow machine under load reads a 40 MB file in about 15 s. */
    protected const PATIENCE_S = 40;

    /** What a form says that the machine was too busy to take. */
    private const NOT_SAVED = 'Not saved: no connection. Press again.';

    /** The part that is asked for. On the phone only the bike of today stands open, and what is folded away is drawn when it is opened. */
    private const FIND = <<<'JS'
    const part = document.querySelector(`[data-test="${arguments[0]}"]`)
    if (!part) {
        const bike = /-(\w+)( \w+)?$/.exec(arguments[0])
        bike && document.querySelector(`[data-test="unfold-${bike[1]}"]`)?.click()
        document.querySelectorAll('details.phone-fold').forEach((fold) => fold.dispatchEvent(new Event('toggle')))
    }

    JS;

    /** Opens what the part is folded into: on the phone much is a line until it is tapped. */
    private const OPEN = <<<'JS'
    const own = part?.closest('summary') || part?.matches('details') ? part.closest('details') : null
    for (let fold = part?.closest('details:not([open])'); fold; fold = fold.parentElement?.closest('details:not([open])'))
        if (fold !== own) fold.open = true

    JS;

    /** What a part says, and what all of a name say. */
    private const SAID = <<<'JS'
    const words = (part) => part.innerText.replace(/[\u00a0\t]/g, ' ').replace(/ *\n\s*/g, '\n').trim()
    const said = (name) => [...document.querySelectorAll(`[data-test="${name}"]`)].map(words).join('\n')

    JS;

    /** A machine that is too busy to answer has the page say that it was not saved: then somebody presses once more, which counts once. */
    private const PRESS_AGAIN = <<<'JS'
    const pressAgain = (pressed, refusal) => {
        if (!pressed || !said('done').includes(refusal)) return
        document.querySelector('[data-test="done"] button:last-child')?.click()
        document.querySelector(pressed)?.click()
    }

    JS;

    /** Calls back once nothing moves any more: what opens has opened. */
    private const STILL =
        InPage::MOVING .
        <<<'JS'
        const still = (then, frames = 0) =>
            requestAnimationFrame(() => (frames > 2 ? then() : still(then, moving().length ? 0 : frames + 1)))

        JS;

    /** What was pressed last. */
    private ?string $pressed = null;

    final public function __construct(public readonly RemoteWebDriver $driver, protected readonly string $url) {}

    public static function open(RemoteWebDriver $driver, string $url, string $path = '/'): static
    {
        $driver->get($url . $path);

        return (new static($driver, $url))->drawn();
    }

    /**
     * Goes there as a link does: the page comes, and nothing else is loaded anew. Where that does not lead there, by its
     * address.
     */
    public static function follow(RemoteWebDriver $driver, string $url, string $path): static
    {
        $went = $driver->executeAsyncScript(
            <<<'JS'
            const [path, done] = arguments
            const router = document.getElementById('app')?.__vue_app__?.config.globalProperties.$inertia
            if (!router) return done(false)
            const stop = router.on('finish', () => {
                stop()
                done(location.pathname === new URL(path, location.href).pathname)
            })
            router.visit(path)
            JS
            ,
            [$path],
        );

        return $went === true ? (new static($driver, $url))->drawn() : static::open($driver, $url, $path);
    }

    /** All of it is drawn: what is not in sight comes a moment after what is. */
    private function drawn(): static
    {
        $this->inPage(
            'a page that is drawn',
            <<<'JS'
            const app = document.getElementById('app')
            return !app || (app.childElementCount > 0 && !document.querySelector('main[aria-busy]'))
            JS
            ,
        );

        return $this;
    }

    public function click(string $part): static
    {
        $this->pressed = "[data-test=\"{$part}\"]";
        $this->steadily(
            fn() => $this->inPage("{$part} to be clicked", self::FIND . self::OPEN . InPage::AT_HAND . 'return atHand(part)', [
                $part,
            ])->click(),
        );

        return $this;
    }

    public function fill(string $field, string $value): static
    {
        $keys = [Keys::CONTROL, 'a', Keys::NULL, Keys::DELETE, $value];
        $this->steadily(fn() => $this->atHand("input[name=\"{$field}\"]")->sendKeys($keys));

        return $this;
    }

    private function atHand(string $css): RemoteWebElement
    {
        return $this->inPage("{$css} at hand", InPage::AT_HAND . 'return atHand(document.querySelector(arguments[0]))', [$css]);
    }

    /** Takes a choice of a list that drops down. */
    public function choose(string $part, string $choice): static
    {
        $this->driver->executeScript(
            "arguments[0].querySelector('.v-field').dispatchEvent(new MouseEvent('mousedown', { bubbles: true }))",
            [$this->part($part)],
        );
        $this->inPage(
            "a choice {$choice}",
            <<<'JS'
            const items = [...document.querySelectorAll('.v-overlay--active .v-list-item')]
            const item = items.find((item) => item.innerText.includes(arguments[0]))
            item?.click()
            return item !== undefined
            JS
            ,
            [$choice],
        );

        return $this;
    }

    /** Goes to a page that is looked up: History, Settings, Help. */
    public function menu(string $page): static
    {
        return $this->click('more')->click("menu-{$page}");
    }

    public function press(string $key): static
    {
        $this->driver->getKeyboard()->sendKeys($key);

        return $this;
    }

    /** Sends the open form and waits until its dialog has gone. */
    public function submit(string $form): static
    {
        $this->part($form);
        $this->pressed = "[data-test=\"{$form}\"] [data-test=\"submit\"]";
        $this->steadily(fn() => $this->atHand((string) $this->pressed)->click());
        $this->inPage(
            "{$form} taken",
            self::SAID .
                self::PRESS_AGAIN .
                InPage::AT_HAND .
                <<<'JS'
                const [name, ...again] = arguments
                pressAgain(...again)
                const form = document.querySelector(`[data-test="${name}"]`)
                return !form || !shown(form)
                JS
                ,
            [$form, $this->pressed, self::NOT_SAVED],
        );

        return $this;
    }

    public function part(string $part): RemoteWebElement
    {
        return $this->inPage("{$part} there", self::FIND . 'return part', [$part]);
    }

    /**
     * Waits in the page until a script returns what is not false; what it waited for and where it stands is said if it never does.
     *
     * @param list<mixed> $given
     */
    protected function inPage(string $what, string $script, array $given = [], int $seconds = self::PATIENCE_S): mixed
    {
        return InPage::await($this->driver, $script, $given, $seconds) ??
            throw new TimeoutException("never: {$what}\n" . InPage::whereItStands($this->driver));
    }

    /** Waits until something is so; what it waited for and where it stands is said if it never was. */
    public function await(string $what, callable $isSo, int $seconds = self::PATIENCE_S): static
    {
        try {
            $this->driver->wait($seconds, 50)->until($isSo);
        } catch (TimeoutException) {
            throw new TimeoutException("never: {$what}\n" . InPage::whereItStands($this->driver));
        }

        return $this;
    }

    public function text(string $part): string
    {
        return $this->inPage("{$part} to be read", self::FIND . self::OPEN . self::SAID . 'return part && [words(part)]', [$part])[0];
    }

    /**
     * What was drawn anew between finding and using it, or was still coming out from under something, is found once more.
     *
     * @template T
     *
     * @param callable(): T $do
     *
     * @return T
     */
    protected function steadily(callable $do): mixed
    {
        for ($once = 0; ; $once++) {
            try {
                return $do();
            } catch (StaleElementReferenceException | ElementClickInterceptedException $e) {
                $once < 20 ?: throw $e;
                usleep(50_000);
            }
        }
    }

    public function awaitText(string $part, string $text): static
    {
        $again = str_starts_with(self::NOT_SAVED, $text) ? null : $this->pressed;
        try {
            $this->inPage(
                "{$part} saying {$text}",
                self::SAID .
                    self::PRESS_AGAIN .
                    <<<'JS'
                    const [name, text, pressed, refusal] = arguments
                    pressAgain(pressed, refusal)
                    const part = document.querySelector(`[data-test="${name}"]`)

                    JS
                    .
                    self::OPEN .
                    'return said(name).includes(text)',
                [$part, $text, $again, self::NOT_SAVED],
            );
        } catch (TimeoutException $e) {
            throw new TimeoutException("{$e->getMessage()}\nIt says: {$this->text($part)}");
        }

        return $this;
    }

    public function has(string $part): bool
    {
        return $this->driver->findElements($this->by($part)) !== [];
    }

    public function count(string $part): int
    {
        return count($this->driver->findElements($this->by($part)));
    }

    public function undo(): static
    {
        $before = $this->text('done');
        $this->click('undo');
        $this->inPage('undone', self::SAID . "return ![arguments[0], ''].includes(said('done'))", [$before]);

        return $this;
    }

    /** @return list<string> what axe finds in the open dialog, else on the page; nothing if all is well */
    public function axe(): array
    {
        // A page is looked at once it is there: the bar over it tells that something is still on its way.
        $this->inPage('nothing on its way', "return !document.querySelector('.progress[role=progressbar]')");
        $this->driver->executeScript('return typeof axe') === 'object' || $this->driver->executeScript(self::axeScript());

        return $this->driver->executeAsyncScript(
            self::STILL .
                <<<'JS'
                const done = arguments[arguments.length - 1]
                const why = (n) => n.any.concat(n.all, n.none).map((c) => c.message).join('; ').slice(0, 160)
                const node = (n) => `${n.html.slice(0, 140)} [${why(n)}]`
                const runOnly = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']
                still(async () => {
                    const dialog = document.querySelector('.v-overlay--active[role="dialog"]')
                    // What happens to lie half under the header at this scroll is no fault of the page.
                    if (!dialog) window.scrollTo(0, 0)
                    // No rule of these reads style sheets or listens to films, for which it would load all anew.
                    const options = { runOnly, resultTypes: ['violations'], preload: false }
                    const { violations } = await axe.run({ include: [dialog ?? document] }, options)
                    done(violations.map((v) => `${v.id}: ${v.nodes.slice(0, 3).map(node).join(' | ')}`))
                })
                JS,
        );
    }

    /** Half a megabyte: whoever looks at page after page has the browser bring it along (Chromium::bring). */
    public static function axeScript(): string
    {
        return (string) file_get_contents(dirname(__DIR__, 3) . '/node_modules/axe-core/axe.min.js');
    }

    /** Waits until nothing moves any more: what opens has opened. What turns for ever does not count. */
    public function settled(): static
    {
        $this->driver->executeAsyncScript(self::STILL . 'still(arguments[0])');

        return $this;
    }

    /** @return list<string> names of the code that a person would read: none */
    public function codeNames(): array
    {
        return CodeNames::in(
            (string) $this->driver->executeScript(
                <<<'JS'
                const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT, (node) =>
                    ['SCRIPT', 'STYLE', 'NOSCRIPT'].includes(node.parentElement.tagName) || !node.parentElement.checkVisibility()
                    ? NodeFilter.FILTER_REJECT
                    : NodeFilter.FILTER_ACCEPT)
                const texts = []
                while (walker.nextNode()) texts.push(walker.currentNode.textContent)
                return texts.join('\n')
                JS
                ,
            ),
        );
    }

    /** @return list<string> whatever can be pressed and is smaller than 44 px; links within a sentence are as its text */
    public function smallTargets(): array
    {
        return $this->driver->executeScript(
            <<<'JS'
            const PRESSED = 'a[href], button, input, select, textarea, summary, label, [role=tab], [role=button], [tabindex]:not([tabindex="-1"])'
            const FIELD = '.text-field .box, .v-field, .v-selection-control, .v-input, label'
            const dialog = document.querySelector('.v-overlay--active[role="dialog"]')
            const alone = (link) => !link.closest('p') || link.closest('p').innerText.trim() === link.innerText.trim()
            return [...(dialog ?? document).querySelectorAll(PRESSED)]
                .filter((one) => one.checkVisibility({ visibilityProperty: true }))
                .filter((one) => !one.disabled && !one.closest('.sr, .skip, [aria-hidden=true]'))
                .filter((one) => !(one.matches('label') && !one.querySelector('input')) && (!one.matches('a') || alone(one)))
                .map((one) => [one, (one.matches('input, textarea, select') ? one.closest(FIELD) : null) ?? one])
                .map(([one, area]) => [one, area.getBoundingClientRect()])
                .filter(([, area]) => area.width > 0 && area.height > 0 && (area.width < 43.5 || area.height < 43.5))
                .map(([one, area]) => {
                    const name = one.dataset.test || one.name || one.innerText || one.outerHTML.slice(0, 80)
                    return `${name} ${Math.round(area.width)}x${Math.round(area.height)}`
                })
            JS
            ,
        );
    }

    /** @return list<string> buttons whose words do not stand in their middle: a page's own style got hold of them */
    public function offCentre(): array
    {
        return $this->driver->executeScript(
            <<<'JS'
            return [...document.querySelectorAll('.push > .words')]
                .filter((words) => words.checkVisibility())
                .filter((words) => {
                    const [own, all] = [words.getBoundingClientRect(), words.parentElement.getBoundingClientRect()]
                    return Math.abs(own.top + own.height / 2 - all.top - all.height / 2) > 2
                })
                .map((words) => `${words.innerText} is not in the middle of its button`)
            JS
            ,
        );
    }

    /** Whether what the page is for can be pressed with a thumb, without scrolling: in the lower half of the screen. */
    public function primaryWithinReach(): bool
    {
        return (bool) $this->driver->executeScript(
            <<<'JS'
            const OWN = 'main .at-hand .push, main .in-sight .push, main .page > form .push.main'
            const own = [...document.querySelectorAll(OWN)].filter((one) => one.checkVisibility())
            const all = own.length ? own : [...document.querySelectorAll('[data-test=add], .push.main')]
            return all.some((one) => {
                const { top, bottom } = one.getBoundingClientRect()
                return top >= innerHeight / 2 && bottom <= innerHeight
            })
            JS
            ,
        );
    }

    public function height(): int
    {
        return (int) $this->driver->executeScript('return document.documentElement.scrollHeight');
    }

    public function scrollsSideways(): bool
    {
        return (bool) $this->driver->executeScript('return document.documentElement.scrollWidth > document.documentElement.clientWidth');
    }

    protected function by(string $part): By
    {
        return By::cssSelector("[data-test=\"{$part}\"]");
    }

    /** How much of the page moved by itself since it was opened: cumulative layout shift, 0 to 1. */
    public function moved(): float
    {
        return (float) $this->driver->executeAsyncScript(
            <<<'JS'
            const done = arguments[arguments.length - 1]
            let shift = 0
            new PerformanceObserver((list) => list.getEntries().forEach((one) => (shift += one.hadRecentInput ? 0 : one.value))).observe({
                type: 'layout-shift',
                buffered: true,
            })
            requestAnimationFrame(() => requestAnimationFrame(() => done(shift)))
            JS
            ,
        );
    }
}
