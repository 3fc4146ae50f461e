<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Models\User;
use App\People\SignIns;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** One click into the demo workshop. Without demo mode there is no such door. */
final class DemoController extends Controller
{
    public function __invoke(Request $request, SignIns $signIns): RedirectResponse
    {
        abort_unless(config()->boolean('dripel.demo'), 404);
        $signIns->open(User::ofTheDemo(), $request, remember: false);

        return redirect()->route('shed');
    }
}
