<?php

declare(strict_types=1);

namespace Tests\Mutation;

/** One fault: at a place of a file another word. */
final readonly class Mutant
{
    public function __construct(public string $path, public int $line, public int $at, public string $was, public string $becomes) {}

    /** The file with the fault in it. */
    public function text(): string
    {
        $text = (string) file_get_contents($this->path);

        return substr($text, 0, $this->at) . $this->becomes . substr($text, $this->at + strlen($this->was));
    }

    public function __toString(): string
    {
        return "{$this->path}:{$this->line}  {$this->was} → " . ($this->becomes === '' ? '(nothing)' : $this->becomes);
    }
}
