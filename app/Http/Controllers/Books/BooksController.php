<?php

declare(strict_types=1);

namespace App\Http\Controllers\Books;

use App\Actions\Cost\SetPrice;
use App\Actions\Part\AddLink;
use App\Http\Controllers\Controller;
use App\Http\Props\BooksProps;
use App\Http\Requests\Cost\PriceRequest;
use App\Http\Requests\Part\LinkRequest;
use App\Models\Price;
use App\Support\CurrentWorkshop;
use Dripel\Core\Cost\Supply;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The records: wax and solvent, what is in stock, cassettes and rings. */
final class BooksController extends Controller
{
    public function wax(CurrentWorkshop $current, BooksProps $props): Response
    {
        return Inertia::render('Books/Wax', $props->wax($current->workshop()));
    }

    public function stock(CurrentWorkshop $current, BooksProps $props): Response
    {
        return Inertia::render('Books/Stock', $props->stock($current->workshop()));
    }

    public function parts(CurrentWorkshop $current, BooksProps $props): Response
    {
        return Inertia::render('Books/Parts', $props->parts($current->workshop()));
    }

    public function storePrice(PriceRequest $request, SetPrice $setPrice): RedirectResponse
    {
        return $this->price($request, null, $setPrice);
    }

    public function updatePrice(PriceRequest $request, Price $price, SetPrice $setPrice): RedirectResponse
    {
        return $this->price($request, $price, $setPrice);
    }

    private function price(PriceRequest $request, ?Price $price, SetPrice $setPrice): RedirectResponse
    {
        return $this->done(
            $setPrice(
                $request->context(),
                Supply::from($request->string('supply')->toString()),
                $request->amountMinor(),
                $request->float('quantity'),
                $request->from(),
                $price,
            ),
        );
    }

    public function storeLink(LinkRequest $request, AddLink $addLink): RedirectResponse
    {
        return $this->done(
            $addLink(
                $request->context(),
                $request->string('name')->trim()->toString(),
                $request->integer('count'),
                $request->wholeIfNamed('speeds'),
                $request->wholeIfNamed('closings_allowed'),
                $request->priceMinor(),
            ),
        );
    }
}
