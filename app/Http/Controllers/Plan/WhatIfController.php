<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Http\Controllers\Controller;
use App\Http\Props\WhatIfProps;
use App\Http\Requests\Plan\WhatIfRequest;
use App\Http\Streamed;
use App\Logbook\ReadBook;
use App\Plan\ReadYears;
use App\Support\CacheMemo;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

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
        CacheMemo $memo,
    ): StreamedResponse {
        $years = $readYears($current->workshop());
        // Years take their time: nobody waits for their end with what is known by now.
        $memo->keep();

        return Streamed::lines(
            (new WhatIfProps($readBook($current->workshop()), $translators->current()))->compare(
                $years,
                $request->policies(),
                $request->schools(),
                $request->integer('years'),
                $request->bikeIfNamed()?->id,
            ),
        );
    }
}
