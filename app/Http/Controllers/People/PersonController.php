<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Actions\People\ManagePeople;
use App\Http\Controllers\Controller;
use App\Models\Membership;
use App\Models\Role;
use App\People\SignIns;
use App\Support\CurrentWorkshop;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The people of a workshop: their roles, and who is in it. */
final class PersonController extends Controller
{
    public function update(Request $request, Membership $membership, ManagePeople $people): RedirectResponse
    {
        $given = $request->validate(['role' => ['required', Rule::enum(Role::class)]]);
        $people->changeRole($membership, Role::from($given['role']));

        return back();
    }

    public function handOver(Membership $membership, ManagePeople $people, CurrentWorkshop $current): RedirectResponse
    {
        $people->handOver($current->workshop(), $current->user(), $membership);

        return back();
    }

    public function destroy(Membership $membership, ManagePeople $people): RedirectResponse
    {
        $people->remove($membership);

        return back();
    }

    /** Of one's own will. */
    public function leave(Request $request, ManagePeople $people, CurrentWorkshop $current, SignIns $signIns): RedirectResponse
    {
        $people->remove($current->membership());
        $signIns->close($request);

        return redirect()->route('sign-in');
    }
}
