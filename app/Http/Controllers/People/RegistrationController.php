<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\RegisterOwner;
use App\Exceptions\NotPossible;
use App\Http\Controllers\Controller;
use App\Http\Middleware\OnlyOurProxy;
use App\Http\Requests\People\AccountRequest;
use App\People\SignIns;
use DateTimeZone;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** The first person makes an account; then this is closed. */
final class RegistrationController extends Controller
{
    public function create(Request $request): Response
    {
        abort_unless(RegisterOwner::isOpen(), 403);

        return Inertia::render('People/Register', [
            'zones' => DateTimeZone::listIdentifiers(),
            'asksCode' => !OnlyOurProxy::isLocal($request),
        ]);
    }

    public function store(AccountRequest $request, RegisterOwner $registerOwner, SignIns $signIns): RedirectResponse
    {
        // Whoever comes first owns everything: it has to be somebody who has the machine, or what it printed.
        OnlyOurProxy::isLocal($request) ||
            self::knowsCode($request->string('code')->trim()->toString()) ||
            throw new NotPossible('code', 'first_code');
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

    private static function knowsCode(#[\SensitiveParameter] string $code): bool
    {
        $right = config('dripel.first_code');

        return is_string($right) && $right !== '' && hash_equals($right, $code);
    }
}
