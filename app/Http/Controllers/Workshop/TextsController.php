<?php

declare(strict_types=1);

namespace App\Http\Controllers\Workshop;

use App\Http\Controllers\Controller;
use App\Text\PageTexts;
use Illuminate\Contracts\Translation\Translator;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The labels of the screens, for a year: what is in them is in their name. */
final class TextsController extends Controller
{
    private const KEPT_S = 31_536_000;

    public function __invoke(Request $request, string $name, Translator $translator): Response
    {
        $texts = PageTexts::named($name) ?? abort(404);
        $script = $texts->script($translator->getLoader());
        $packed = in_array('gzip', $request->getEncodings(), true);

        return response($packed ? (string) gzencode($script, 9) : $script, 200, [
            'Content-Type' => 'text/javascript; charset=utf-8',
            'Cache-Control' => 'public, max-age=' . self::KEPT_S . ', immutable',
            'Vary' => 'Accept-Encoding',
            ...$packed ? ['Content-Encoding' => 'gzip'] : [],
        ]);
    }
}
