<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Http\Controllers\Controller;
use App\Http\Props\WhatIfProps;
use App\Http\Requests\Plan\WhatIfRequest;
use App\Logbook\ReadBook;
use App\Plan\ReadYears;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Dripel\Core\Input\InvalidInput;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** Which interval, how many chains, which school: laid side by side over the years. */
final class WhatIfController extends Controller
{
    public function index(CurrentWorkshop $current, ReadBook $readBook, Translators $translators): Response
    {
        return Inertia::render('Plan/WhatIf', (new WhatIfProps($readBook($current->workshop()), $translators->current()))->page());
    }

    public function compare(
        WhatIfRequest $request,
        CurrentWorkshop $current,
        ReadBook $readBook,
        Translators $translators,
        ReadYears $readYears,
    ): JsonResponse {
        $props = new WhatIfProps($readBook($current->workshop()), $translators->current());
        try {
            return response()->json(
                $props->compare(
                    $readYears($current->workshop()),
                    $request->policies(),
                    $request->schools(),
                    $request->integer('years'),
                    $request->bikeIfNamed()?->id,
                ),
            );
        } catch (InvalidInput $e) {
            throw $e->path === 'pot.wax_g' ? ValidationException::withMessages(['pot' => (string) __('errors.pot_too_low')]) : $e;
        }
    }
}
