<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\People\GoodPassword;
use App\People\Passwords;
use App\People\SignIns;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** One's own password: typed once more before what cannot be taken back, or changed. */
final class PasswordController extends Controller
{
    public function show(Request $request, SignIns $signIns): JsonResponse
    {
        return response()->json(['confirmed' => $signIns->isConfirmed($request)]);
    }

    public function confirm(Request $request, CurrentWorkshop $current, Passwords $passwords, SignIns $signIns): JsonResponse
    {
        $given = $request->validate(['password' => ['required', 'string', 'max:' . Passwords::LONGEST]])['password'];
        $passwords->personBehind($current->user()->email, $given) !== null || throw new NotPossible('password', 'password.wrong');
        $signIns->confirm($request);

        return response()->json(['confirmed' => true]);
    }

    /** The new one holds from here on; every other browser has to show it. */
    public function update(Request $request, CurrentWorkshop $current, Passwords $passwords, SignIns $signIns): RedirectResponse
    {
        $user = $current->user();
        $given = $request->validate([
            'old_password' => ['required', 'string', 'max:' . Passwords::LONGEST],
            'password' => ['required', 'string', (new GoodPassword())->setData(['email' => $user->email, 'name' => $user->name])],
        ]);
        $passwords->personBehind($user->email, $given['old_password']) !== null || throw new NotPossible('old_password', 'password.wrong');
        $user->update(['password' => $given['password']]);
        SignIns::closeAll($user, $signIns->here($request));

        return back()->with('done', ['text' => (string) __('done.password'), 'undo' => null, 'key' => bin2hex(random_bytes(4))]);
    }
}
