<?php

declare(strict_types=1);

namespace App\Http\Controllers\Strip;

use App\Actions\Strip\AddJar;
use App\Actions\Strip\ChangeJar;
use App\Actions\Strip\TendJar;
use App\Actions\Workshop\RemoveUnused;
use App\Http\Controllers\Controller;
use App\Http\Requests\ActionIdRequest;
use App\Http\Requests\Strip\ChangeJarRequest;
use App\Http\Requests\Strip\JarRequest;
use App\Http\Requests\Strip\TendRequest;
use App\Models\Jar;
use Illuminate\Http\RedirectResponse;

/** Solvent jars. */
final class JarController extends Controller
{
    public function store(JarRequest $request, AddJar $addJar): RedirectResponse
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

    public function update(ChangeJarRequest $request, Jar $jar, ChangeJar $changeJar): RedirectResponse
    {
        return $this->done(
            $changeJar(
                $request->context(),
                $jar,
                $request->string('name')->trim()->toString(),
                $request->role(),
                $request->boolean('gone'),
            ),
        );
    }

    public function destroy(ActionIdRequest $request, Jar $jar, RemoveUnused $remove): RedirectResponse
    {
        return $this->done($remove($request->context(), $jar));
    }

    public function tend(TendRequest $request, Jar $jar, TendJar $tendJar): RedirectResponse
    {
        return $this->done($tendJar($request->context(), $jar, $request->entry(), $request->moment(), $request->note()));
    }
}
