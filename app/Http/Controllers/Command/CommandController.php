<?php

declare(strict_types=1);

namespace App\Http\Controllers\Command;

use App\Command\CommandParser;
use App\Command\Examples;
use App\Command\NotUnderstood;
use App\Command\Phrase;
use App\Command\Places;
use App\Exceptions\UndoBlocked;
use App\Http\Controllers\Controller;
use App\Http\Props\ReadShed;
use App\Http\Requests\Command\CommandRequest;
use App\Logbook\DryRun;
use App\Text\ChangeWords;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

/**
 * The command line: said in a sentence first, then done.
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
final class CommandController extends Controller
{
    public function preview(
        CommandRequest $request,
        CommandParser $parser,
        Examples $examples,
        DryRun $dryRun,
        ChangeWords $words,
        ReadShed $readShed,
        Places $places,
    ): JsonResponse {
        return response()->json($this->answer($request, $parser, $examples, $dryRun, $words, $readShed, $places));
    }

    /** @return CommandAnswer */
    private function answer(
        CommandRequest $request,
        CommandParser $parser,
        Examples $examples,
        DryRun $dryRun,
        ChangeWords $words,
        ReadShed $readShed,
        Places $places,
    ): array {
        $text = $request->string('text')->toString();
        $nothing = [
            'sentence' => null,
            'problem' => null,
            'guess' => null,
            'chains' => [],
            'cautions' => [],
            'examples' => [],
            'next' => [],
            'places' => $places($text),
        ];
        if (Examples::askedFor($text)) {
            return ['examples' => $examples->all()] + $nothing;
        }
        if ((new Phrase($text))->isOneOf('command.next')) {
            return ['next' => $readShed($request->workshop())->told()] + $nothing;
        }
        try {
            $command = $parser($text);
        } catch (NotUnderstood $e) {
            return ['problem' => $e->getMessage(), 'guess' => $e->guess] + $nothing;
        }
        try {
            $changes = $dryRun->changes($request->workshop(), fn() => ($command->do)($request->context()));
        } catch (UndoBlocked) {
            // What would have to go too is shown before anything goes.
            $changes = [];
        }

        return ['sentence' => $command->sentence, 'chains' => $words->of($changes), 'cautions' => $command->cautions] + $nothing;
    }

    public function store(CommandRequest $request, CommandParser $parser): RedirectResponse
    {
        try {
            return $this->done(($parser($request->string('text')->toString())->do)($request->context()));
        } catch (NotUnderstood $e) {
            throw ValidationException::withMessages(['text' => $e->getMessage()]);
        }
    }
}
