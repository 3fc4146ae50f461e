<?php

declare(strict_types=1);

namespace App\Http;

use App\Archive\NotRestored;
use App\Exceptions\ActionIdTaken;
use App\Exceptions\JobMovedOn;
use App\Exceptions\LogbookConflict;
use App\Exceptions\NotPossible;
use App\Exceptions\UndoBlocked;
use App\Exceptions\VersionMoved;
use App\Http\Props\ConflictProps;
use App\Http\Props\JobProps;
use App\Support\DiskTrouble;
use App\Support\NotWritten;
use App\Text\Translators;
use Dripel\Core\Input\InvalidInput;
use Dripel\Core\Logbook\Fitting;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use PDOException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** What goes wrong, said so that it can be mended: beside the field, or on a page of its own. */
final class Problems
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([
            NotPossible::class,
            NotRestored::class,
            InvalidInput::class,
            LogbookConflict::class,
            UndoBlocked::class,
            JobMovedOn::class,
            VersionMoved::class,
            ActionIdTaken::class,
        ]);
        // What a query was asked with may be a token, a password or a whole session: none of it is written down.
        $exceptions->report(fn(QueryException $e) => self::withoutBindings($e))->stop();
        $exceptions->shouldRenderJsonWhen(fn(Request $request) => $request->is('api/*') || $request->expectsJson());
        $exceptions->render(
            fn(AuthenticationException $e, Request $request) => $request->is('api/*')
                ? response()->json(['message' => (string) __('errors.probe.token')], 401)
                : null,
        );
        $exceptions->render(fn(NotPossible $e) => self::beside($e->field, self::sentence($e)));
        $exceptions->render(fn(NotRestored $e) => self::beside('file', (string) __("errors.restore.{$e->reason}", $e->parameters)));
        $exceptions->render(
            fn(InvalidInput $e) => self::beside(
                str_contains($e->path, 'spots.') ? $e->path : (strtok($e->path, '.') ?: 'input'),
                (string) __(
                    match (true) {
                        $e->path === 'file' => str_starts_with($e->getMessage(), 'line ') ? 'errors.file_line' : 'errors.file',
                        str_ends_with($e->path, 'results') => 'errors.seats',
                        default => 'errors.input',
                    },
                    ['problem' => $e->getMessage()],
                ),
            ),
        );
        $exceptions->render(fn(LogbookConflict $e) => self::beside('conflict', self::sentence($e)));
        $exceptions->render(fn(UndoBlocked $e): RedirectResponse => redirect()->route('undo', $e->target->id));
        $exceptions->render(fn(JobMovedOn $e) => response()->json(app(JobProps::class)->state($e->job), 409));
        $exceptions->render(
            fn(ActionIdTaken $e, Request $request): Response => $request->expectsJson() && !$request->inertia()
                ? response()->json(
                    ['message' => (string) __('errors.action_taken'), 'errors' => ['action_id' => [(string) __('errors.action_taken')]]],
                    409,
                )
                : Inertia::render('Problem', ['status' => 409])
                    ->toResponse($request)
                    ->setStatusCode(409),
        );
        $exceptions->render(
            fn(PostTooLargeException $e) => self::beside(
                'file',
                (string) __('errors.file_too_large', ['megabytes' => config()->integer('dripel.upload_megabytes')]),
            ),
        );
        $exceptions->render(fn(PDOException|NotWritten $e, Request $request): ?Response => self::noDisk($e, $request));
        $exceptions->render(fn(VersionMoved $e, Request $request): Response => self::moved($e, $request));
        $exceptions->respond(self::page(...));
    }

    /** Why it cannot be, and how to mend it. */
    public static function sentence(NotPossible|LogbookConflict $e): string
    {
        return $e instanceof NotPossible ? (string) __("errors.{$e->reason}", $e->parameters) : self::conflict($e);
    }

    private static function withoutBindings(QueryException $e): void
    {
        Log::error("{$e->getPrevious()?->getMessage()}, in: {$e->getSql()}", ['trace' => $e->getTraceAsString()]);
    }

    /** Nothing was written, and the form keeps what is in it: the page says so where it was pressed. */
    private static function noDisk(Throwable $e, Request $request): ?Response
    {
        $trouble = DiskTrouble::in($e);
        if ($trouble === null) {
            return null;
        }

        return $request->expectsJson() || $request->inertia()
            ? response()->json(['message' => (string) __("errors.disk.{$trouble->value}")], 507)
            : Inertia::render('Problem', ['status' => 507])
                ->toResponse($request)
                ->setStatusCode(507);
    }

    private static function beside(string $field, string $message): Response
    {
        return app(ExceptionHandler::class)->render(request(), ValidationException::withMessages([$field => $message]));
    }

    /** Both versions on a page of their own, under the address that the form was on: going back from it works. */
    private static function moved(VersionMoved $e, Request $request): Response
    {
        $response = Inertia::render('History/Conflict', app(ConflictProps::class)->of($e))->toResponse($request)->setStatusCode(409);
        if ($response instanceof JsonResponse) {
            $response->setData(['url' => parse_url(url()->previousPath(), PHP_URL_PATH)] + (array) $response->getData(true));
        }

        return $response;
    }

    private static function conflict(LogbookConflict $e): string
    {
        $names = app(Translators::class)->current()->names;
        $conflict = $e->conflicts[0];

        return (string) __("errors.conflict.{$conflict->kind->value}", [
            'chain' => $names->fullChain($conflict->chainId),
            'bike' => $conflict->against instanceof Fitting ? $names->bike($conflict->against->bikeId) : '',
        ]);
    }

    private static function page(Response $response, Throwable $e, Request $request): Response
    {
        $status = $response->getStatusCode();
        if (
            $request->is('api/*') ||
            ($request->expectsJson() && !$request->inertia()) ||
            (!($e instanceof HttpExceptionInterface) && config('app.debug'))
        ) {
            return $response;
        }

        // An address that cannot be read leads nowhere either.
        $told = in_array($status, [400, 405], true) ? 404 : $status;

        return in_array($told, [403, 404, 419, 429, 500, 503], true)
            ? Inertia::render('Problem', ['status' => $told])
                ->toResponse($request)
                ->setStatusCode($status)
            : $response;
    }
}
