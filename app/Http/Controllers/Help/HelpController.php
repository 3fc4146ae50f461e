<?php

declare(strict_types=1);

namespace App\Http\Controllers\Help;

use App\Http\Controllers\Controller;
use App\Http\Props\HelpProps;
use Inertia\Inertia;
use Inertia\Response;

/** What Dripel is for, its words, how its figures are made, safety, keys. */
final class HelpController extends Controller
{
    public function __invoke(HelpProps $props): Response
    {
        return Inertia::render('Help/Help', $props->all());
    }
}
