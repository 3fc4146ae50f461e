<?php

declare(strict_types=1);

namespace App\Http\Controllers\Pot;

use App\Actions\Pot\DipChains;
use App\Http\Controllers\Controller;
use App\Http\Requests\Pot\DipRequest;
use Illuminate\Http\RedirectResponse;

final class DipController extends Controller
{
    public function store(DipRequest $request, DipChains $dipChains): RedirectResponse
    {
        return $this->done(
            $dipChains(
                $request->context(),
                $request->chains(),
                $request->moment(),
                $request->boolean('rust_looked'),
                $request->terms(),
                $request->boolean('stripped'),
            ),
        );
    }
}
