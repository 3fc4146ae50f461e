<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Models\SignIn;
use App\People\SignIns;
use App\Support\CurrentWorkshop;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The browsers in which somebody is signed in: one, or all others, are signed out at once. */
final class DeviceController extends Controller
{
    public function signOut(SignIn $signIn): RedirectResponse
    {
        $signIn->delete();

        return back();
    }

    public function signOutOthers(Request $request, CurrentWorkshop $current, SignIns $signIns): RedirectResponse
    {
        SignIns::closeAll($current->user(), $signIns->here($request));

        return back();
    }
}
