<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** One click into the demo workshop. Without demo mode there is no such door. */
final class DemoController extends Controller
{
    public function __invoke(Request $request): RedirectResponse
    {
        abort_unless(config()->boolean('dripel.demo'), 404);
        Auth::login(User::ofTheDemo());
        $request->session()->regenerate();

        return redirect()->route('shed');
    }
}
