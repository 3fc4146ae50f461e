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

    /** The line without its margin, and what becomes of it: stays the same when lines above come and go. */
    public function place(): string
    {
        return implode("\t", [$this->path, trim(explode("\n", (string) file_get_contents($this->path))[$this->line - 1]), $this->fault()]);
    }

    public function __toString(): string
    {
        return "{$this->path}:{$this->line}  {$this->fault()}";
    }

    private function fault(): string
    {
        return "{$this->was} → " . ($this->becomes === '' ? '(nothing)' : $this->becomes);
    }
}
