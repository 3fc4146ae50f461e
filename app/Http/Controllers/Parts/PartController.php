<?php

declare(strict_types=1);

namespace App\Http\Controllers\Parts;

use App\Actions\Parts\AddPart;
use App\Actions\Parts\FitPart;
use App\Actions\Parts\RetirePart;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chains\MomentRequest;
use App\Http\Requests\Parts\PartFitRequest;
use App\Http\Requests\Parts\PartRequest;
use App\Models\Bike;
use App\Models\Part;
use Dripel\Core\Logbook\PartKind;
use Illuminate\Http\RedirectResponse;

/** Cassettes, chainrings and jockey wheels. */
final class PartController extends Controller
{
    public function store(PartRequest $request, Bike $bike, AddPart $addPart): RedirectResponse
    {
        return $this->done($addPart(
            $request->context(),
            $bike,
            PartKind::from($request->string('kind')->toString()),
            $request->string('name')->trim()->toString(),
            $request->moment(),
            $request->kmIfNamed('km'),
            $request->boolean('on_trainer'),
            $request->boolean('replaces'),
            $request->priceMinor(),
        ));
    }

    public function fit(PartFitRequest $request, Part $part, FitPart $fitPart): RedirectResponse
    {
        return $this->done($fitPart($request->context(), $part, $request->bike(), $request->moment()));
    }

    public function retire(MomentRequest $request, Part $part, RetirePart $retirePart): RedirectResponse
    {
        return $this->done($retirePart($request->context(), $part, $request->moment()));
    }
}
