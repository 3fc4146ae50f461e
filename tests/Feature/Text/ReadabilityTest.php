<?php

declare(strict_types=1);

/** House rule: from so many words on a sentence is read twice. */
const LONGEST = 25;

/** What is not said: words that must be read twice, and those of this program's making that nobody would look for. */
const NOT_SAID = [
    'reckon',
    'look after',
    'looked after',
    'leave it',
    'say it',
    'tag says otherwise',
    'show out',
    'empty wall',
    'bring it in',
    'brought in',
    'see to it',
    'its book',
    'in the book',
    'proves',
    'letter, rail, pitches',
    'nobody said',
    'nobody says',
    'in hand',
    'take back',
    'taken back',
    'took back',
    'be led',
];

/** @return array<string, string> every text by its code, one for each of its plural forms */
function texts(): array
{
    $flat = function (array $texts, string $code) use (&$flat): array {
        $found = [];
        foreach ($texts as $key => $text) {
            $found += is_array($text) ? $flat($text, "{$code}.{$key}") : ["{$code}.{$key}" => $text];
        }

        return $found;
    };
    $all = [];
    foreach (glob(lang_path('en/*.php')) ?: [] as $file) {
        foreach ($flat(require $file, basename($file, '.php')) as $code => $text) {
            foreach (explode('|', $text) as $i => $form) {
                $all["{$code}#{$i}"] = trim((string) preg_replace('/^[\[{][^\]}]*[\]}]/', '', $form));
            }
        }
    }

    return $all;
}

it('speaks in short sentences', function (): void {
    $long = [];
    foreach (texts() as $code => $text) {
        foreach (preg_split('/(?<=[.?!])[”’"]?\s+(?=[\p{Lu}:“])/u', $text) ?: [] as $sentence) {
            $words = preg_match_all("/[\p{L}\p{N}:{][\p{L}\p{N}’'.,:{}-]*/u", $sentence);
            $words > LONGEST && ($long[$code] = "{$words}: {$sentence}");
        }
    }
    expect($long)->toBe([]);
});

it('does not say what must be read twice', function (): void {
    $said = [];
    foreach (texts() as $code => $text) {
        foreach (NOT_SAID as $words) {
            if (preg_match('/\b' . preg_quote($words, '/') . '\b/iu', $text) === 1 && !str_starts_with($code, 'command.verbs.')) {
                $said[$code] = $text;
            }
        }
    }
    expect($said)->toBe([]);
});

it('says no word twice in a row', function (): void {
    expect(array_filter(texts(), fn(string $text) => preg_match('/(?<![:\p{L}])(\p{L}{2,})\s+\1\b/iu', $text) === 1))->toBe([]);
});

it('says in every refusal what to do', function (): void {
    // A verb that tells, or a statement that what is left alone is all right.
    $tells =
        '/\b(choose|check|enter|take|give|measure|strip|fill|edit|use|add|try|reload|retire|type|tick|wait|make|undo|ask|open|set|send|connect|' .
        'write|pull|count|look|correct|finish|continue|stop|end|export|restore|update|start|mend|zero|ride|buy|pack|read|clean|put|hand|keep|' .
        'save|remove|swap|replace|sign|plan|close|say|move|split|show|name|record|must be|nothing was)\b/iu';
    $mute = [];
    foreach (texts() as $code => $text) {
        if (str_starts_with($code, 'errors.') && preg_match($tells, $text) !== 1) {
            $mute[$code] = $text;
        }
    }
    // Parts of a sentence that is put together from a row or a field.
    $parts = fn(string $code): bool => preg_match('/^errors\.(table\.|file#|file_line#|input#)/', $code) === 1;
    expect(array_filter($mute, fn(string $code) => !$parts($code), ARRAY_FILTER_USE_KEY))->toBe([]);
});

it('keeps the list of its words as the help page has it', function (): void {
    $page = (string) file_get_contents(base_path('docs/words.md'));
    foreach (['trade', 'ours'] as $group) {
        foreach ((array) __("help.words.{$group}") as [$word, $meaning]) {
            expect($page)->toContain("| {$word} | {$meaning} |");
        }
    }
    foreach (NOT_SAID as $words) {
        expect($page)->toContain("“{$words}”");
    }
});
