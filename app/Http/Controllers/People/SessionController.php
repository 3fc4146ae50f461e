<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\RegisterOwner;
use App\Http\Controllers\Controller;
use App\People\Passkeys;
use App\People\Passwords;
use App\People\SignIns;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final class SessionController extends Controller
{
    public function create(Request $request): Response|RedirectResponse
    {
        return RegisterOwner::isOpen() && !config('dripel.demo')
            ? redirect()->route('register')
            : Inertia::render('People/SignIn', [
                'demo' => config()->boolean('dripel.demo'),
                'passkeys' => Passkeys::offered($request),
            ]);
    }

    public function store(Request $request, Passwords $passwords, SignIns $signIns): RedirectResponse
    {
        $given = $request->validate(['email' => ['required', 'string'], 'password' => ['required', 'string', 'max:' . Passwords::LONGEST]]);
        $user = $passwords->personBehind($given['email'], $given['password']);
        $user !== null || throw ValidationException::withMessages(['email' => __('errors.not_signed_in')]);
        $user->workshop_id !== null || throw ValidationException::withMessages(['email' => __('errors.no_workshop')]);
        $signIns->open($user, $request);

        return redirect()->intended(route('shed'));
    }

    public function destroy(Request $request, SignIns $signIns): RedirectResponse
    {
        $signIns->close($request);

        return redirect()->route('sign-in');
    }
}
