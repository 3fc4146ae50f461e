<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\RegisterOwner;
use App\Http\Controllers\Controller;
use App\Http\Requests\People\AccountRequest;
use DateTimeZone;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Auth;
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

    public function store(AccountRequest $request, RegisterOwner $registerOwner): RedirectResponse
    {
        $owner = $registerOwner(
            $request->string('name')->trim()->toString(),
            $request->string('email')->toString(),
            $request->string('password')->toString(),
            $request->string('workshop')->trim()->toString() ?: (string) __('ui.people.workshop_default'),
            $request->string('time_zone')->toString() ?: 'UTC',
        );
        Auth::login($owner, true);
        $request->session()->regenerate();

        return redirect()->route('shed');
    }
}
