<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Text\Translators;
use App\Text\UnitTranslator;
use Closure;
use Dripel\Core\Logbook\SettingKey;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\App;
use Symfony\Component\HttpFoundation\Response;

/** Speaks the workshop's language and in its units, where its texts are shipped: a language is a folder of lang/. */
final readonly class SpeakLanguage
{
    public function __construct(private Translators $translators, private UnitTranslator $translator) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->user() instanceof User && $request->user()->workshop_id !== null) {
            $translator = $this->translators->current();
            $language = $translator->settings->text(SettingKey::Language, 0, 'en');
            is_dir(lang_path($language)) && App::setLocale($language);
            $this->translator->speakIn($translator->quantities);
        }

        return $next($request);
    }
}
