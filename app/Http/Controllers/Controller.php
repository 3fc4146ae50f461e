<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Props\DoneProps;
use App\Models\Action;
use Illuminate\Http\RedirectResponse;

abstract class Controller
{
    /** Back to where the form was, saying what was done and how to take it back. */
    protected function done(Action $action, ?string $to = null): RedirectResponse
    {
        return ($to === null ? back() : redirect()->to($to))->with('done', app(DoneProps::class)->of($action));
    }
}
