<?php

declare(strict_types=1);

namespace App\Http\Controllers\Strip;

use App\Actions\Strip\KeepProtocol;
use App\Http\Controllers\Controller;
use App\Http\Props\ProtocolProps;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\Strip\ProtocolRequest;
use App\Models\Protocol as Row;
use App\Strip\Protocols;
use App\Support\CurrentWorkshop;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** Protocols: on paper, copied, changed, dropped. */
final class ProtocolController extends Controller
{
    public function card(string $code, CurrentWorkshop $current, Protocols $protocols, ProtocolProps $props): Response
    {
        return Inertia::render(
            'Strip/Card',
            $props->card($current->workshop(), $protocols->find($current->workshop(), $code) ?? abort(404)),
        );
    }

    public function edit(string $code, CurrentWorkshop $current, Protocols $protocols, ProtocolProps $props): Response
    {
        return Inertia::render(
            'Strip/Protocol',
            $props->edit($current->workshop(), $protocols->find($current->workshop(), $code) ?? abort(404)),
        );
    }

    public function store(ProtocolRequest $request, KeepProtocol $keepProtocol): RedirectResponse
    {
        return $this->done(
            $keepProtocol($request->context(), null, $request->string('name')->trim()->toString(), $request->protocol()),
            route('strip'),
        );
    }

    public function update(ProtocolRequest $request, Row $protocol, KeepProtocol $keepProtocol): RedirectResponse
    {
        return $this->done(
            $keepProtocol($request->context(), $protocol, $request->string('name')->trim()->toString(), $request->protocol()),
            route('strip'),
        );
    }

    public function destroy(ActionIdRequest $request, Row $protocol, KeepProtocol $keepProtocol): RedirectResponse
    {
        return $this->done($keepProtocol->drop($request->context(), $protocol), route('strip'));
    }
}
