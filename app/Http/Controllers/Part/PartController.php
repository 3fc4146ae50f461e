<?php

declare(strict_types=1);

namespace App\Http\Controllers\Part;

use App\Actions\Part\AddPart;
use App\Actions\Part\FitPart;
use App\Actions\Part\LookAtTeeth;
use App\Actions\Part\RetirePart;
use App\Http\Controllers\Controller;
use App\Http\Requests\Chain\MomentRequest;
use App\Http\Requests\Part\PartFitRequest;
use App\Http\Requests\Part\PartRequest;
use App\Http\Requests\Part\TeethRequest;
use App\Models\Bike;
use App\Models\Part;
use Dripel\Core\Logbook\PartKind;
use Illuminate\Http\RedirectResponse;

/** Cassettes, chainrings and jockey wheels. */
final class PartController extends Controller
{
    public function store(PartRequest $request, Bike $bike, AddPart $addPart): RedirectResponse
    {
        return $this->done(
            $addPart(
                $request->context(),
                $bike,
                PartKind::from($request->string('kind')->toString()),
                $request->string('name')->trim()->toString(),
                $request->moment(),
                $request->kmIfNamed('km'),
                $request->boolean('on_trainer'),
                $request->boolean('replaces'),
                $request->priceMinor(),
            ),
        );
    }

    public function fit(PartFitRequest $request, Part $part, FitPart $fitPart): RedirectResponse
    {
        return $this->done($fitPart($request->context(), $part, $request->bike(), $request->moment()));
    }

    public function teeth(TeethRequest $request, Part $part, LookAtTeeth $lookAtTeeth): RedirectResponse
    {
        return $this->done($lookAtTeeth($request->context(), $part, $request->seen(), $request->moment()));
    }

    public function retire(MomentRequest $request, Part $part, RetirePart $retirePart): RedirectResponse
    {
        return $this->done($retirePart($request->context(), $part, $request->moment()));
    }
}
