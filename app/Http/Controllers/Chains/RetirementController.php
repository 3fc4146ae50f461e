<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chains;

use App\Actions\Chains\RetireChain;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chains\MomentRequest;
use App\Models\Chain;
use Illuminate\Http\RedirectResponse;

final class RetirementController extends Controller
{
    public function store(MomentRequest $request, Chain $chain, RetireChain $retireChain): RedirectResponse
    {
        return $this->done($retireChain($request->context(), $chain, $request->moment()));
    }
}
