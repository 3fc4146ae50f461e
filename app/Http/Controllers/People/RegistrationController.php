<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\RegisterOwner;
use App\Http\Controllers\Controller;
use App\Http\Requests\People\AccountRequest;
use App\People\SignIns;
use DateTimeZone;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The first person makes an account; then this is closed. */
final class RegistrationController extends Controller
{
    public function create(): Response
    {
        abort_unless(RegisterOwner::isOpen(), 403);

        return Inertia::render('People/Register', ['zones' => DateTimeZone::listIdentifiers()]);
    }

    public function store(AccountRequest $request, RegisterOwner $registerOwner, SignIns $signIns): RedirectResponse
    {
        $owner = $registerOwner(
            $request->string('name')->trim()->toString(),
            $request->string('email')->toString(),
            $request->string('password')->toString(),
            $request->string('workshop')->trim()->toString() ?: (string) __('ui.people.workshop_default'),
            $request->string('time_zone')->toString() ?: 'UTC',
        );
        $signIns->open($owner, $request);

        return redirect()->route('shed');
    }
}
