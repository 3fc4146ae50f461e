<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Symfony\Component\Process\Process;

/**
 * Debian's headless Chromium behind its ChromeDriver, with a profile of its own. A walk gives it back as it got it, and the next one of the
 * process goes on with it: to start one costs more than many a walk. What is drawn around a page, which nobody sees, takes a sixth of all
 * that walks cost: they go without.
 */
final class Chromium
{
    /** As a browser comes. */
    private const TEXT_PX = 16;

    private const SCRIPT_S = 30;

    private const WHOLE = '/usr/bin/chromium';

    private const WITHOUT_WINDOWS = __DIR__ . '/shell';

    private const FLAGS = [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-dev-shm-usage',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--force-color-profile=srgb',
        '--hide-scrollbars',
    ];

    /** @var list<self> those that nobody walks with */
    private static array $idle = [];

    private static bool $kept = false;

    /** @var list<string> scripts that come with each page */
    private array $brought = [];

    private function __construct(
        private readonly Process $process,
        public readonly RemoteWebDriver $driver,
        private readonly string $profile,
        /** Whether it is like any other, so that another walk may have it. */
        private readonly bool $usual,
    ) {}

    /**
     * @param int $textPx the size of text that the person has chosen in the browser; 16 is as it comes
     * @param string|null $trusts a certificate in its store, besides those it comes with
     * @param bool $whole as people have it: where it is measured, its pictures are shown, or it reminds
     */
    public static function start(
        int $width = 1280,
        int $height = 800,
        int $textPx = self::TEXT_PX,
        ?string $trusts = null,
        bool $whole = false,
    ): self {
        $usual = $textPx === self::TEXT_PX && $trusts === null && !$whole;
        $chromium = ($usual ? array_pop(self::$idle) : null) ?? self::another($textPx, $trusts, $usual);
        $chromium->size($width, $height);

        return $chromium;
    }

    private static function another(int $textPx, ?string $trusts, bool $usual): self
    {
        $port = Ports::free();
        $profile = sys_get_temp_dir() . '/dripel-profile-' . bin2hex(random_bytes(5));
        $process = new Process(
            ['chromedriver', "--port={$port}"],
            null,
            $trusts === null ? null : ['HOME' => self::home($profile, $trusts)],
            null,
            null,
        );
        $process->start();
        Ports::await($port);
        $options = (new ChromeOptions())
            ->setBinary($usual ? self::WITHOUT_WINDOWS : self::WHOLE)
            ->addArguments([...self::FLAGS, "--user-data-dir={$profile}"]);
        $options->setExperimentalOption('prefs', ['intl.accept_languages' => 'en', 'webkit.webprefs.default_font_size' => $textPx]);
        $capabilities = DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options);
        // What a page did against its own policy is told in the console.
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'SEVERE']);
        return new self($process, RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 30_000, 60_000), $profile, $usual);
    }

    /** A home with a certificate store of its own. */
    private static function home(string $profile, string $trusts): string
    {
        $store = "{$profile}/home/.pki/nssdb";
        mkdir($store, 0700, true);
        (new Process(['certutil', '-d', "sql:{$store}", '-N', '--empty-password']))->mustRun();
        (new Process(['certutil', '-d', "sql:{$store}", '-A', '-t', 'C,,', '-n', 'Dripel', '-i', $trusts]))->mustRun();

        return "{$profile}/home";
    }

    /** @return list<string> what pages tried that their policy forbids, since it was asked last */
    public function violations(): array
    {
        return array_values(
            array_filter(
                array_map(fn(array $entry) => (string) $entry['message'], $this->driver->manage()->getLog('browser')),
                fn(string $message) => str_contains($message, 'Content Security Policy'),
            ),
        );
    }

    /** Sets the size of the page itself, whatever the window's frame takes. */
    public function size(int $width, int $height): void
    {
        $this->tell('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => $width < 600,
        ]);
    }

    /** A device that keeps passkeys, whose person is always there and unlocks it. */
    public function addAuthenticator(): void
    {
        $this->tell('WebAuthn.enable', ['enableUI' => false]);
        $this->tell('WebAuthn.addVirtualAuthenticator', [
            'options' => [
                'protocol' => 'ctap2',
                'transport' => 'internal',
                'hasResidentKey' => true,
                'hasUserVerification' => true,
                'isUserVerified' => true,
                'automaticPresenceSimulation' => true,
            ],
        ]);
    }

    /** @param 'light'|'dark' $scheme */
    public function prefer(string $scheme): void
    {
        $this->tell('Emulation.setEmulatedMedia', [
            'features' => [
                ['name' => 'prefers-color-scheme', 'value' => $scheme],
                ['name' => 'prefers-reduced-motion', 'value' => 'reduce'],
            ],
        ]);
    }

    /** A script that is there before anything of each page, from the next one on. */
    public function bring(string $script): void
    {
        $this->brought[] = (string) $this->tell('Page.addScriptToEvaluateOnNewDocument', ['source' => $script])['identifier'];
    }

    /**
     * Says something to the browser itself, past what WebDriver knows.
     *
     * @param array<string, mixed> $what
     *
     * @return array<string, mixed> what it answers
     */
    public function tell(string $command, array $what = []): array
    {
        return (array) $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => $command,
            'params' => (object) $what,
        ]);
    }

    /** The walk is over. */
    public function stop(): void
    {
        try {
            $this->usual ? $this->asItCame() : $this->quit();
        } catch (WebDriverException) {
            $this->quit();
        }
    }

    /** Nothing of the walk stays: neither what its pages kept nor what it was told. */
    private function asItCame(): void
    {
        $windows = $this->driver->getWindowHandles();
        foreach (array_slice($windows, 1) as $window) {
            $this->driver->switchTo()->window($window)->close();
        }
        $this->driver->switchTo()->window($windows[0]);
        $origin = (string) $this->driver->executeScript('return location.origin');
        $this->driver->get('about:blank');
        $this->tell('Storage.clearDataForOrigin', ['origin' => $origin, 'storageTypes' => 'all']);
        $this->tell('Network.clearBrowserCookies');
        $this->tell('Browser.resetPermissions');
        $this->tell('WebAuthn.disable');
        $this->tell('Emulation.setEmulatedMedia', ['features' => []]);
        foreach ($this->brought as $script) {
            $this->tell('Page.removeScriptToEvaluateOnNewDocument', ['identifier' => $script]);
        }
        $this->brought = [];
        $this->driver->manage()->timeouts()->setScriptTimeout(self::SCRIPT_S);
        $this->driver->manage()->getLog('browser');
        self::$kept || register_shutdown_function(self::quitAll(...));
        self::$kept = true;
        self::$idle[] = $this;
    }

    private static function quitAll(): void
    {
        foreach (self::$idle as $chromium) {
            $chromium->quit();
        }
        self::$idle = [];
    }

    private function quit(): void
    {
        $this->driver->quit();
        $this->process->stop(1);
        (new Process(['rm', '-rf', $this->profile]))->run();
    }
}
