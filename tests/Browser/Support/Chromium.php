<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Symfony\Component\Process\Process;

/** Debian's headless Chromium behind its ChromeDriver, with a profile of its own. */
final class Chromium
{
    private const FLAGS = [
        '--headless=new',
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

    private function __construct(
        private readonly Process $process,
        public readonly RemoteWebDriver $driver,
        private readonly string $profile,
    ) {}

    /**
     * @param int $textPx the size of text that the person has chosen in the browser; 16 is as it comes
     * @param string|null $trusts a certificate in its store, besides those it comes with
     */
    public static function start(int $width = 1280, int $height = 800, int $textPx = 16, ?string $trusts = null): self
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
        $options = (new ChromeOptions())->setBinary('/usr/bin/chromium')->addArguments([...self::FLAGS, "--user-data-dir={$profile}"]);
        $options->setExperimentalOption('prefs', ['intl.accept_languages' => 'en', 'webkit.webprefs.default_font_size' => $textPx]);
        $capabilities = DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options);
        // What a page did against its own policy is told in the console.
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'SEVERE']);
        $chromium = new self($process, RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 30_000, 60_000), $profile);
        $chromium->size($width, $height);

        return $chromium;
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
        $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => 'Emulation.setDeviceMetricsOverride',
            'params' => [
                'width' => $width,
                'height' => $height,
                'deviceScaleFactor' => 1,
                'mobile' => $width < 600,
            ],
        ]);
    }

    /** A device that keeps passkeys, whose person is always there and unlocks it. */
    public function addAuthenticator(): void
    {
        foreach (
            [
                'WebAuthn.enable' => ['enableUI' => false],
                'WebAuthn.addVirtualAuthenticator' => [
                    'options' => [
                        'protocol' => 'ctap2',
                        'transport' => 'internal',
                        'hasResidentKey' => true,
                        'hasUserVerification' => true,
                        'isUserVerified' => true,
                        'automaticPresenceSimulation' => true,
                    ],
                ],
            ]
            as $cmd => $params
        ) {
            $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => $cmd, 'params' => $params]);
        }
    }

    /** @param 'light'|'dark' $scheme */
    public function prefer(string $scheme): void
    {
        $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => 'Emulation.setEmulatedMedia',
            'params' => [
                'features' => [
                    ['name' => 'prefers-color-scheme', 'value' => $scheme],
                    ['name' => 'prefers-reduced-motion', 'value' => 'reduce'],
                ],
            ],
        ]);
    }

    /** A script that is there before anything of each page, from the next one on. */
    public function bring(string $script): void
    {
        $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => 'Page.addScriptToEvaluateOnNewDocument',
            'params' => ['source' => $script],
        ]);
    }

    public function stop(): void
    {
        $this->driver->quit();
        $this->process->stop(1);
        (new Process(['rm', '-rf', $this->profile]))->run();
    }
}
