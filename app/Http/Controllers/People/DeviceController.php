<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\ManagePeople;
use App\Http\Controllers\Controller;
use App\Support\CurrentWorkshop;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** The devices on which somebody is signed in: all others are signed out at once. */
final class DeviceController extends Controller
{
    public function signOutOthers(Request $request, CurrentWorkshop $current): RedirectResponse
    {
        ManagePeople::signOut($current->user(), $request->session()->getId());
        // This device goes on being remembered, under the new token.
        Auth::login($current->user(), true);

        return back();
    }
}
