<?php

declare(strict_types=1);

namespace App\Text;

use DateTimeZone;
use Illuminate\Contracts\Translation\Loader;

/**
 * The labels of the screens in one language and one set of units: a script of its own, named by what is in it, so that a browser asks for
 * it once and keeps it. Sentences with figures come with each page.
 */
final readonly class PageTexts
{
    private const FILE = 'ui';

    private const HASH = 12;

    public function __construct(private string $language, private Units $units) {}

    /** @param string $name as of name() */
    public static function named(string $name): ?self
    {
        [$language, $distance, $temperature, $mass] = explode('.', $name) + array_fill(0, 4, '');
        $isOurs =
            in_array($language, Translator::languages(), true) &&
            in_array($distance, Units::DISTANCE, true) &&
            in_array($temperature, Units::TEMPERATURE, true) &&
            in_array($mass, Units::MASS, true);
        $texts = $isOurs ? new self($language, new Units($distance, $temperature, $mass)) : null;

        return $texts?->name() === $name ? $texts : null;
    }

    /** en.km.C.g.1a2b3c4d5e6f */
    public function name(): string
    {
        $hash = (string) md5_file(lang_path("{$this->language}/" . self::FILE . '.php'));

        return implode('.', [
            $this->language,
            $this->units->distance,
            $this->units->temperature,
            $this->units->mass,
            substr($hash, 0, self::HASH),
        ]);
    }

    public function script(Loader $loader): string
    {
        $translator = new UnitTranslator($loader, $this->language);
        $translator->speakIn(new Quantities($this->units, new DateTimeZone('UTC'), $this->language));

        return 'window.dripelTexts = ' . json_encode($translator->get(self::FILE), JSON_THROW_ON_ERROR | JSON_HEX_TAG);
    }
}
