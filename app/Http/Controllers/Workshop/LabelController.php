<?php

declare(strict_types=1);

namespace App\Http\Controllers\Workshop;

use App\Http\Controllers\Controller;
use App\Http\Props\LabelProps;
use Inertia\Inertia;
use Inertia\Response;

/** Hook tags and bench labels to print. */
final class LabelController extends Controller
{
    public function __invoke(LabelProps $props): Response
    {
        return Inertia::render('Workshop/Labels', $props->all());
    }
}
