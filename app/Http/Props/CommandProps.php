<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Command\CommandParser;
use App\Command\Examples;
use App\Command\NotUnderstood;
use App\Command\Phrase;
use App\Command\Places;
use App\Exceptions\UndoBlocked;
use App\Logbook\ActionContext;
use App\Logbook\DryRun;
use App\Text\ChangeWords;

/**
 * What is said to a typed line before anything is done: what it would do and which figures would change, what is not understood, what is
 * next, examples, or where one could go.
 *
 * @phpstan-import-type ChangedChain from ChangeWords
 * @phpstan-import-type Place from Places
 *
 * @phpstan-type CommandAnswer array{
 *     sentence: string|null,
 *     problem: string|null,
 *     guess: string|null,
 *     chains: list<ChangedChain>,
 *     cautions: list<string>,
 *     examples: list<string>,
 *     next: list<array{title: string, text: string}>,
 *     places: list<Place>,
 * }
 */
final readonly class CommandProps
{
    public function __construct(
        private CommandParser $parser,
        private Examples $examples,
        private DryRun $dryRun,
        private ChangeWords $words,
        private ReadShed $readShed,
        private Places $places,
    ) {}

    /** @return CommandAnswer */
    public function __invoke(string $text, ActionContext $by): array
    {
        $nothing = [
            'sentence' => null,
            'problem' => null,
            'guess' => null,
            'chains' => [],
            'cautions' => [],
            'examples' => [],
            'next' => [],
            'places' => ($this->places)($text),
        ];
        if (Examples::askedFor($text)) {
            return ['examples' => $this->examples->all()] + $nothing;
        }
        if ((new Phrase($text))->isOneOf('command.next')) {
            return ['next' => ($this->readShed)($by->workshop)->told()] + $nothing;
        }
        try {
            $command = ($this->parser)($text);
        } catch (NotUnderstood $e) {
            return ['problem' => $e->getMessage(), 'guess' => $e->guess] + $nothing;
        }
        try {
            $changes = $this->dryRun->changes($by->workshop, fn() => ($command->do)($by));
        } catch (UndoBlocked) {
            // What would have to go too is shown before anything goes.
            $changes = [];
        }

        return ['sentence' => $command->sentence, 'chains' => $this->words->of($changes), 'cautions' => $command->cautions] + $nothing;
    }
}
