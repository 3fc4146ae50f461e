<?php

declare(strict_types=1);

namespace App\Push;

/** What a browser shows while Dripel is closed there. */
final readonly class PushMessage
{
    /**
     * @param string $once it is told once to each browser
     * @param string $tag what it replaces where it is shown
     */
    public function __construct(public string $once, public string $tag, public string $title, public string $text, public string $url) {}
}
