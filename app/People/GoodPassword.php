<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * Ten characters or more, none that everybody tries first. No rule of capitals and signs: they make passwords worse.
 * The list: resources/common-passwords.txt, the first half of the SHA-256 of each in small letters, from the MIT-licensed frequency list of
 * an npm package for strength meters (those of ten characters and more) and a few walks over the keyboard.
 */
final class GoodPassword implements DataAwareRule, ValidationRule
{
    public const LEAST = 10;

    /** In bytes: what the hash goes by. */
    public const MOST = 72;

    private const KEPT = 16;

    /** @var array<string, mixed> */
    private array $data = [];

    /** @param array<string, mixed> $data */
    public function setData(array $data): static
    {
        $this->data += $data;

        return $this;
    }

    /** As the framework calls it. */
    public function validate(string $attribute, #[\SensitiveParameter] mixed $value, Closure $fail): void
    {
        $problem = self::problemOf(
            is_string($value) ? $value : '',
            array_values(array_filter([$this->data['email'] ?? null, $this->data['name'] ?? null], is_string(...))),
        );
        $problem === null || $fail((string) __("errors.password.{$problem}", ['least' => self::LEAST, 'most' => self::MOST]));
    }

    /**
     * @param list<string> $theirs what others know of them
     *
     * @return string|null what is wrong with it, as a key of errors.password
     */
    public static function problemOf(#[\SensitiveParameter] string $password, array $theirs = []): ?string
    {
        $low = mb_strtolower($password);
        $known = fn(string $text): bool => mb_strlen($text) >= 4 && str_contains($low, mb_strtolower($text));

        return match (true) {
            mb_strlen($password) < self::LEAST => 'short',
            strlen($password) > self::MOST => 'long',
            count(array_unique(mb_str_split($low))) < 4, self::isCommon($low) => 'common',
            array_filter([...$theirs, ...array_map(fn(string $one) => (string) strstr($one, '@', true), $theirs)], $known) !== []
                => 'theirs',
            default => null,
        };
    }

    private static function isCommon(#[\SensitiveParameter] string $low): bool
    {
        return str_contains(
            "\n" . file_get_contents(resource_path('common-passwords.txt')),
            "\n" . substr(hash('sha256', $low), 0, self::KEPT) . "\n",
        );
    }
}
