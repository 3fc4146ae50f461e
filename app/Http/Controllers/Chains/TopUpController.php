<?php

declare(strict_types=1);

namespace App\Http\Controllers\Chains;

use App\Actions\Chains\TopUpChain;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chains\TopUpRequest;
use App\Models\Chain;
use Illuminate\Http\RedirectResponse;

final class TopUpController extends Controller
{
    public function store(TopUpRequest $request, Chain $chain, TopUpChain $topUpChain): RedirectResponse
    {
        return $this->done($topUpChain($request->context(), $chain, $request->km(), $request->moment()));
    }
}
