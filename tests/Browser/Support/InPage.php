<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Exception\JavascriptErrorException;
use Facebook\WebDriver\Exception\ScriptTimeoutException;
use Facebook\WebDriver\Exception\UnknownErrorException;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\JsonWireCompat;
use Facebook\WebDriver\Remote\RemoteExecuteMethod;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;

/**
 * Waits in the page itself. Each command costs the browser some 10 ms of the processor, whatever it asks: whoever asks from outside until
 * something is so takes time from what is waited for.
 */
final class InPage
{
    /** What moves; what turns for ever does not count. */
    public const MOVING = <<<'JS'
    const passing = (a) => a.playState === 'running' && a.effect?.getTiming().iterations !== Infinity
    const moving = () => document.getAnimations().filter(passing)

    JS;

    /**
     * What can be pressed or typed into: it is there, in force, and stands still, so that a press that begins on it ends on it. It is
     * brought out from under the header and the bar at the foot, as a person does.
     */
    public const AT_HAND =
        self::MOVING .
        <<<'JS'
        const shown = (part) => part.checkVisibility({ opacityProperty: true, visibilityProperty: true })
        const moves = (part) => moving().some((a) => a.effect.target?.contains(part))
        const atHand = (part) => {
            if (!part || part.disabled || !shown(part) || moves(part)) return null
            part.scrollIntoView({ block: 'center' })
            return part
        }

        JS;

    /** How long one command waits: below what the driver gives a script. */
    private const AT_ONCE_S = 10.0;

    /** A page that made room for another while it was asked. */
    private const WENT = '/unloaded|navigat|context|detached/i';

    private const ASK = <<<'JS'
    const [given, seconds, done] = arguments
    const ask = function () { %s }
    const end = performance.now() + seconds * 1000
    const look = () => {
        const answer = ask(...given)
        answer || performance.now() > end ? done(answer || null) : setTimeout(look, 20)
    }
    look()
    JS;

    /**
     * @param string $script asked every 20 ms, until it returns what is not false
     * @param list<mixed> $given its arguments
     *
     * @return mixed what it returned; null if it never did
     */
    public static function await(RemoteWebDriver $driver, string $script, array $given = [], float $seconds = 40): mixed
    {
        $end = microtime(true) + $seconds;
        do {
            $left = min(self::AT_ONCE_S, max(0, $end - microtime(true)));
            try {
                $answer = $driver->executeAsyncScript(sprintf(self::ASK, $script), [$given, $left]);
            } catch (JavascriptErrorException | ScriptTimeoutException | UnknownErrorException $e) {
                $answer = self::goesOn($e);
            }
        } while ($answer === null && microtime(true) < $end);

        $element = is_array($answer) ? $answer[JsonWireCompat::WEB_DRIVER_ELEMENT_IDENTIFIER] ?? null : null;

        return is_string($element) ? new RemoteWebElement(new RemoteExecuteMethod($driver), $element, isW3cCompliant: true) : $answer;
    }

    /** What somebody would see who came by now: for whoever reads why a walk ended where nobody looked. */
    public static function whereItStands(RemoteWebDriver $driver): string
    {
        return (string) $driver->executeScript(
            "return `at \${location.pathname}\${location.search}: \${document.body.innerText.replace(/\\s+/g, ' ').slice(0, 900)}`",
        );
    }

    private static function goesOn(WebDriverException $e): null
    {
        if (!($e instanceof ScriptTimeoutException) && preg_match(self::WENT, (string) $e->getMessage()) !== 1) {
            throw $e;
        }
        usleep(20_000);

        return null;
    }
}
