<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\RegisterOwner;
use App\Http\Controllers\Controller;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final class SessionController extends Controller
{
    public function create(): Response|RedirectResponse
    {
        return RegisterOwner::isOpen() && !config('dripel.demo')
            ? redirect()->route('register')
            : Inertia::render('People/SignIn', ['demo' => config()->boolean('dripel.demo')]);
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(['email' => ['required', 'string'], 'password' => ['required', 'string']]);
        $given['email'] = mb_strtolower(trim($given['email']));
        Auth::attempt($given, true) || throw ValidationException::withMessages(['email' => __('errors.not_signed_in')]);
        $user = Auth::user();
        if ($user instanceof User && $user->workshop_id === null) {
            Auth::logout();
            throw ValidationException::withMessages(['email' => __('errors.no_workshop')]);
        }
        $request->session()->regenerate();

        return redirect()->intended(route('shed'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
