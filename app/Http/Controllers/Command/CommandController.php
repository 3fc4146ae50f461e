<?php

declare(strict_types=1);

namespace App\Http\Controllers\Command;

use App\Command\CommandParser;
use App\Command\NotUnderstood;
use App\Http\Controllers\Controller;
use App\Http\Props\CommandProps;
use App\Http\Requests\Command\CommandRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

/** The command line: said in a sentence first, then done. */
final class CommandController extends Controller
{
    public function preview(CommandRequest $request, CommandProps $answer): JsonResponse
    {
        return response()->json($answer($request->string('text')->toString(), $request->context()));
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
