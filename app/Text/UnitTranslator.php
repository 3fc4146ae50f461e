<?php

declare(strict_types=1);

namespace App\Text;

use BackedEnum;
use Closure;
use DateTimeZone;
use Illuminate\Translation\Translator;
use InvalidArgumentException;
use Stringable;

/**
 * Texts that name a quantity of the trade write it as {km:200}, {g:8}, {c:90} or {mm:30}; it is read in the units of whoever is spoken to,
 * in screens and sentences alike.
 */
final class UnitTranslator extends Translator
{
    private ?Quantities $quantities = null;

    public static function of(Translator $usual): self
    {
        $own = new self($usual->getLoader(), $usual->getLocale());
        $own->setFallback($usual->getFallback());

        return $own;
    }

    public function speakIn(Quantities $quantities): void
    {
        $this->quantities = $quantities;
    }

    /** The labels of the screens as they are spoken to whoever asks. */
    public function pageTexts(): PageTexts
    {
        return new PageTexts($this->getLocale(), $this->quantities->units ?? new Units());
    }

    /**
     * @param string $key
     * @param array<string, mixed> $replace
     * @param string|null $locale
     * @param bool $fallback
     *
     * @return string|array<array-key, mixed>
     */
    public function get($key, array $replace = [], $locale = null, $fallback = true)
    {
        $found = parent::get($key, $replace, $locale, $fallback);
        if (is_array($found)) {
            array_walk_recursive($found, fn(mixed &$text) => ($text = is_string($text) ? $this->inUnits($text) : $text));

            return $found;
        }

        return $this->inUnits($found);
    }

    /**
     * Parameters stand in the texts as they are called: no :Name and no :NAME, which would be made for each of them in vain. What takes
     * some making comes as a closure, and is made for a text that says it.
     *
     * @param string $line
     * @param array<string, mixed> $replace
     *
     * @throws InvalidArgumentException for what is no text
     */
    protected function makeReplacements($line, array $replace): string
    {
        $parameters = [];
        foreach ($replace as $name => $value) {
            if (!str_contains($line, ":{$name}")) {
                continue;
            }
            $value = match (true) {
                $value instanceof Closure => $value(),
                $value instanceof BackedEnum => $value->value,
                default => $value,
            };
            $parameters[":{$name}"] =
                $value === null || is_scalar($value) || $value instanceof Stringable
                    ? (string) $value
                    : throw new InvalidArgumentException(":{$name} of “{$line}” is " . get_debug_type($value));
        }

        return strtr($line, $parameters);
    }

    private function inUnits(string $text): string
    {
        if (!str_contains($text, ':') || preg_match('/\{(km|g|c|mm):/', $text) !== 1) {
            return $text;
        }
        $q = $this->quantities ?? new Quantities(new Units(), new DateTimeZone('UTC'));

        return (string) preg_replace_callback(
            '/\{(km|g|c|mm):([\d.]+)\}/',
            fn(array $found): string => match ($found[1]) {
                'km' => $q->about((float) $found[2]),
                'g' => $q->mass((float) $found[2]),
                'c' => $q->temperature((float) $found[2]),
                default => $q->length((float) $found[2]),
            },
            $text,
        );
    }
}
