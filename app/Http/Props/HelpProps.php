<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Text\Translators;

/**
 * The help page: all of it is text, as the workshop's language and units say it.
 *
 * @phpstan-type HelpText array{key: string, title: string, text: string}
 * @phpstan-type HelpPage array{
 *     loop: list<HelpText>,
 *     words: list<array{title: string, words: list<HelpText>}>,
 *     figures: list<array{title: string, formula: string, source: string}>,
 *     more: list<HelpText>,
 *     safety: list<string>,
 * }
 */
final readonly class HelpProps
{
    private const LOOP = ['ride', 'swap', 'measure', 'pot', 'hang'];

    private const FIGURES = ['left', 'left_hours', 'good_until', 'bare', 'km', 'wear'];

    /** How longer computations are worked out, by where they stand. */
    private const MORE = ['pot_day', 'pot_form', 'jars', 'strip_plan', 'drip', 'ahead', 'what_if', 'money'];

    public function __construct(private Translators $translators) {}

    /** @return HelpPage */
    public function all(): array
    {
        $say = $this->translators->current()->say(...);

        return [
            'loop' => array_map(
                fn(string $step) => ['key' => $step, 'title' => $say("help.loop.{$step}.title"), 'text' => $say("help.loop.{$step}.text")],
                self::LOOP,
            ),
            'words' => array_map(fn(string $group) => ['title' => $say("ui.help.words.{$group}"), 'words' => $this->words($group)], [
                'trade',
                'ours',
            ]),
            'figures' => array_map(
                fn(string $figure) => [
                    'title' => $say("ui.help.figure.{$figure}"),
                    'formula' => $say("why.formula.{$figure}"),
                    'source' => $say("why.source.{$figure}"),
                ],
                self::FIGURES,
            ),
            'more' => array_map(
                fn(string $page) => [
                    'key' => $page,
                    'title' => $say("ui.{$page}.title"),
                    'text' => $say($page === 'strip_plan' ? 'ui.strip_plan.formula' : "ui.{$page}.worked_out"),
                ],
                self::MORE,
            ),
            'safety' => array_values($this->texts('help.safety')),
        ];
    }

    /** @return list<HelpText> */
    private function words(string $group): array
    {
        $words = [];
        foreach (array_keys($this->texts("help.words.{$group}")) as $key) {
            $words[] = [
                'key' => (string) $key,
                'title' => (string) __("help.words.{$group}.{$key}.0"),
                'text' => (string) __("help.words.{$group}.{$key}.1"),
            ];
        }

        return $words;
    }

    /** @return array<string> */
    private function texts(string $code): array
    {
        /** @var array<string> $texts */
        $texts = (array) __($code);

        return $texts;
    }
}
