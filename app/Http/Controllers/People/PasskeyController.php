<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Models\Passkey;
use App\People\Passkeys;
use App\People\SignIns;
use App\Support\CurrentWorkshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A key in one's device instead of the password: added in Settings, used at the door. */
final class PasskeyController extends Controller
{
    public function create(Request $request, CurrentWorkshop $current, Passkeys $passkeys): JsonResponse
    {
        return response()->json($passkeys->askForNew($current->user(), $request));
    }

    public function store(Request $request, CurrentWorkshop $current, Passkeys $passkeys): Response
    {
        $passkeys->add($current->user(), $request, self::answer($request));

        return response()->noContent();
    }

    public function destroy(Passkey $passkey): RedirectResponse
    {
        $passkey->delete();

        return back();
    }

    public function ask(Request $request, Passkeys $passkeys): JsonResponse
    {
        return response()->json($passkeys->ask($request));
    }

    public function signIn(Request $request, Passkeys $passkeys, SignIns $signIns): Response
    {
        $user = $passkeys->personBehind($request, self::answer($request));
        $user->workshop_id !== null || throw new NotPossible('passkey', 'no_workshop');
        $signIns->open($user, $request);

        return response()->noContent();
    }

    /** @return array<mixed> */
    private static function answer(Request $request): array
    {
        return $request->validate(['answer' => ['required', 'array']])['answer'];
    }
}
