<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Props\DoneProps;
use App\Http\Requests\ActionRequest;
use App\Logbook\DryRun;
use App\Models\Action;
use App\Text\ChangeWords;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

abstract class Controller
{
    /**
     * Does it, or only says which figures would change.
     *
     * @param Closure(): Action $do
     */
    protected function doOrPreview(ActionRequest $request, Closure $do, ?string $to = null): RedirectResponse|JsonResponse
    {
        return $request->boolean('preview')
            ? response()->json(['chains' => app(ChangeWords::class)->of(app(DryRun::class)->changes($request->workshop(), $do))])
            : $this->done($do(), $to);
    }

    /** Back to where the form was, saying what was done and how to take it back. */
    protected function done(Action $action, ?string $to = null): RedirectResponse
    {
        return ($to === null ? back() : redirect()->to($to))->with('done', app(DoneProps::class)->of($action));
    }
}
