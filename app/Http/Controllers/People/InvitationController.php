<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\AcceptInvitation;
use App\Actions\People\InvitePerson;
use App\Http\Controllers\Controller;
use App\Http\Requests\People\AccountRequest;
use App\Models\Invitation;
use App\Models\Role;
use App\Models\User;
use App\People\SignIns;
use App\Support\AppClock;
use App\Support\CurrentWorkshop;
use App\Support\Reach;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;

final class InvitationController extends Controller
{
    public function store(Request $request, CurrentWorkshop $current, InvitePerson $invitePerson): RedirectResponse
    {
        $given = $request->validate(['role' => ['required', Rule::in([Role::Member->value, Role::Viewer->value])]]);
        $token = $invitePerson($current->workshop(), $current->user(), Role::from($given['role']));

        return back()->with('invitation', Reach::url(route('join', $token, false)));
    }

    public function destroy(Invitation $invitation): RedirectResponse
    {
        $invitation->delete();

        return back();
    }

    public function show(Request $request, string $token, AppClock $clock): Response
    {
        $invitation = Invitation::behind($token);

        return Inertia::render('People/Join', [
            'token' => $token,
            'open' => $invitation->open($clock->unixS()),
            'role' => $invitation->role->value,
            'person' => $request->user() instanceof User ? $request->user()->name : '',
        ]);
    }

    public function accept(AccountRequest $request, string $token, AcceptInvitation $acceptInvitation, SignIns $signIns): RedirectResponse
    {
        $invitation = Invitation::behind($token);
        if ($request->user() instanceof User) {
            $acceptInvitation->withAccount($invitation, $request->user());

            return redirect()->route('shed');
        }
        $user = $acceptInvitation(
            $invitation,
            $request->string('name')->trim()->toString(),
            $request->string('email')->toString(),
            $request->string('password')->toString(),
        );
        $signIns->open($user, $request);

        return redirect()->route('shed');
    }
}
