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

    /** @param int $textPx the size of text that the person has chosen in the browser; 16 is as it comes */
    public static function start(int $width = 1280, int $height = 800, int $textPx = 16): self
    {
        $port = Ports::free();
        $process = new Process(['chromedriver', "--port={$port}"], null, null, null, null);
        $process->start();
        Ports::await($port);
        $profile = sys_get_temp_dir() . '/dripel-profile-' . bin2hex(random_bytes(5));
        $options = (new ChromeOptions())->setBinary('/usr/bin/chromium')->addArguments([...self::FLAGS, "--user-data-dir={$profile}"]);
        $options->setExperimentalOption('prefs', ['intl.accept_languages' => 'en', 'webkit.webprefs.default_font_size' => $textPx]);
        $capabilities = DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options);
        $chromium = new self($process, RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities, 30_000, 60_000), $profile);
        $chromium->size($width, $height);

        return $chromium;
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

    public function stop(): void
    {
        $this->driver->quit();
        $this->process->stop(1);
        (new Process(['rm', '-rf', $this->profile]))->run();
    }
}
