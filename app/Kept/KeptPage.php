<?php

declare(strict_types=1);

namespace App\Kept;

use Illuminate\Http\Response as Answer;
use Symfony\Component\HttpFoundation\Response;

/** A page as it was answered, and what it was made of. Only what no two answers share is put in anew. */
final readonly class KeptPage
{
    /** @param array<string, list<string|null>> $headers */
    private function __construct(
        private Reads $reads,
        private string $body,
        private array $headers,
        private ?string $nonce,
        private int $nowS,
    ) {}

    /** @param string|null $nonce by which its scripts may run, once */
    public static function of(Response $made, Reads $reads, ?string $nonce, int $nowS): self
    {
        $headers = array_diff_key($made->headers->allPreserveCaseWithoutCookies(), ['Date' => 0]);

        return new self($reads, (string) $made->getContent(), $headers, $nonce, $nowS);
    }

    public function wouldBeTheSame(): bool
    {
        return $this->reads->areTheSame();
    }

    public function answer(?string $nonce, int $nowS): Response
    {
        $body = str_replace(self::clock($this->nowS), self::clock($nowS), $this->body);

        return new Answer($this->nonce === null ? $body : str_replace($this->nonce, (string) $nonce, $body), 200, $this->headers);
    }

    /** As HandleInertiaRequests tells it to every page. */
    private static function clock(int $nowS): string
    {
        return "\"nowS\":{$nowS}";
    }
}
