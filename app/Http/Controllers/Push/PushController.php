<?php

declare(strict_types=1);

namespace App\Http\Controllers\Push;

use App\Http\Controllers\Controller;
use App\Http\Requests\Push\PushRequest;
use App\People\SignIns;
use App\Push\PushService;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Whether this browser is told while Dripel is closed in it. It ends with the sign-in. */
final class PushController extends Controller
{
    public function key(PushService $push): JsonResponse
    {
        return response()->json(['key' => $push->publicKey()]);
    }

    public function store(PushRequest $request, SignIns $signIns): Response
    {
        $signIn = $signIns->here($request) ?? abort(403);
        $signIn->pushSubscription()->updateOrCreate([], [...$request->subscription(), 'told' => []]);

        return response()->noContent();
    }

    public function destroy(Request $request, SignIns $signIns): Response
    {
        $signIns->here($request)?->pushSubscription?->delete();

        return response()->noContent();
    }
}
