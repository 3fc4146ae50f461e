<?php

declare(strict_types=1);

namespace App\Http\Controllers\Command;

use App\Command\CommandParser;
use App\Command\Examples;
use App\Command\NotUnderstood;
use App\Exceptions\UndoBlocked;
use App\Http\Controllers\Controller;
use App\Http\Requests\Command\CommandRequest;
use App\Logbook\DryRun;
use App\Text\ChangeWords;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

/** The command line: said in a sentence first, then done. */
final class CommandController extends Controller
{
    public function preview(CommandRequest $request, CommandParser $parser, Examples $examples, DryRun $dryRun, ChangeWords $words): JsonResponse
    {
        $nothing = ['sentence' => null, 'problem' => null, 'guess' => null, 'chains' => [], 'cautions' => [], 'examples' => []];
        $text = $request->string('text')->toString();
        if (Examples::askedFor($text)) {
            return response()->json(['examples' => $examples->all()] + $nothing);
        }
        try {
            $command = $parser($text);
        } catch (NotUnderstood $e) {
            return response()->json(['problem' => $e->getMessage(), 'guess' => $e->guess] + $nothing);
        }
        try {
            $changes = $dryRun->changes($request->workshop(), fn() => ($command->do)($request->context()));
        } catch (UndoBlocked) {
            // What would have to go too is shown before anything goes.
            $changes = [];
        }

        return response()->json(['sentence' => $command->sentence, 'chains' => $words->of($changes), 'cautions' => $command->cautions] + $nothing);
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
