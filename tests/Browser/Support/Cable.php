<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Symfony\Component\Process\Process;

/**
 * The network between one device and the machine, as in a house: https through bin/lan.mjs, under a certificate that the machine has signed
 * itself. It can be cut and can hang while others go on.
 */
final class Cable
{
    /** By which the server believes it who calls. */
    public const WORD = 'word-of-the-tests';

    private Process $process;

    private function __construct(private readonly int $port, private readonly int $appPort, private readonly string $folder)
    {
        $this->mend();
    }

    public static function to(Server $server): self
    {
        $folder = sys_get_temp_dir() . '/dripel-lan-' . bin2hex(random_bytes(5));
        (new Process(['bash', '-c', '. bin/lib.sh; need_certificate "$0"', $folder], dirname(__DIR__, 3), null, null, 120))->mustRun();

        return new self(Ports::free(), (int) parse_url($server->url, PHP_URL_PORT), $folder);
    }

    public function url(): string
    {
        return "https://127.0.0.1:{$this->port}";
    }

    /** The certificate that a phone has to trust. */
    public function root(): string
    {
        return "{$this->folder}/root.pem";
    }

    public function cut(): void
    {
        $this->process->stop(0, SIGKILL);
        Ports::awaitSilence($this->port);
    }

    public function mend(): void
    {
        $this->process = new Process(
            [
                'node',
                'bin/lan.mjs',
                'serve',
                (string) $this->port,
                (string) $this->appPort,
                "{$this->folder}/cert.pem",
                "{$this->folder}/key.pem",
            ],
            dirname(__DIR__, 3),
            ['DRIPEL_PROXY_WORD' => self::WORD],
            null,
            null,
        );
        $this->process->start();
        Ports::await($this->port);
    }

    /** Whatever is sent is neither refused nor answered. */
    public function hang(): void
    {
        $this->process->signal(SIGSTOP);
    }

    public function goOn(): void
    {
        $this->process->signal(SIGCONT);
    }

    public function remove(): void
    {
        !$this->process->isRunning() || $this->goOn();
        $this->process->stop(0, SIGKILL);
        (new Process(['rm', '-rf', $this->folder]))->run();
    }
}
