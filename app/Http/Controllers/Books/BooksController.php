<?php

declare(strict_types=1);

namespace App\Http\Controllers\Books;

use App\Actions\Cost\SetPrice;
use App\Actions\Part\AddLink;
use App\Actions\Strip\AddJar;
use App\Actions\Strip\TendJar;
use App\Http\Controllers\Controller;
use App\Http\Props\BooksProps;
use App\Http\Requests\Cost\PriceRequest;
use App\Http\Requests\Part\LinkRequest;
use App\Http\Requests\Strip\JarRequest;
use App\Http\Requests\Strip\TendRequest;
use App\Models\Jar;
use App\Support\CurrentWorkshop;
use Dripel\Core\Cost\Supply;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** Jars, prices and spare quick links. */
final class BooksController extends Controller
{
    public function index(CurrentWorkshop $current, BooksProps $props): Response
    {
        return Inertia::render('Books/Books', $props->all($current->workshop()));
    }

    public function storeJar(JarRequest $request, AddJar $addJar): RedirectResponse
    {
        return $this->done(
            $addJar(
                $request->context(),
                $request->string('name')->trim()->toString(),
                $request->role(),
                $request->moment(),
                $request->filling(),
            ),
        );
    }

    public function tend(TendRequest $request, Jar $jar, TendJar $tendJar): RedirectResponse
    {
        return $this->done($tendJar($request->context(), $jar, $request->entry(), $request->moment(), $request->note()));
    }

    public function storePrice(PriceRequest $request, SetPrice $setPrice): RedirectResponse
    {
        return $this->done(
            $setPrice(
                $request->context(),
                Supply::from($request->string('supply')->toString()),
                $request->amountMinor(),
                $request->float('quantity'),
                $request->from(),
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
