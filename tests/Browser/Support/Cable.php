<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Symfony\Component\Process\Process;

/** The network of one device: it can be cut and can hang while others go on. */
final class Cable
{
    private Process $process;

    private function __construct(private readonly int $port, private readonly int $appPort)
    {
        $this->mend();
    }

    public static function to(Server $server): self
    {
        return new self(Ports::free(), (int) parse_url($server->url, PHP_URL_PORT));
    }

    public function url(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    public function cut(): void
    {
        $this->process->stop(0, SIGKILL);
        Ports::awaitSilence($this->port);
    }

    public function mend(): void
    {
        $this->process = new Process(
            ['node', __DIR__ . '/cable.mjs', (string) $this->port, (string) $this->appPort],
            null,
            null,
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
}
