<?php

declare(strict_types=1);

namespace App\Http\Controllers\Workshop;

use App\Actions\Workshop\ChangeSettings;
use App\Http\Controllers\Controller;
use App\Http\Props\KeepProps;
use App\Http\Props\PeopleProps;
use App\Http\Props\SettingsProps;
use App\Http\Requests\Workshop\SettingsRequest;
use App\Logbook\ReadBook;
use App\People\SignIns;
use App\Support\CurrentWorkshop;
use App\Text\Translators;
use App\Weather\KeptRain;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class SettingsController extends Controller
{
    public function show(Request $request, CurrentWorkshop $current, Translators $translators): Response
    {
        $workshop = $current->workshop();
        $props = new SettingsProps($translators->current());

        return Inertia::render(
            'Settings/Settings',
            $props->page() + [
                'rain' => Inertia::optional(fn(KeptRain $keptRain) => $props->rain($keptRain, $workshop)),
                'bikes' => Inertia::optional(fn(ReadBook $readBook) => $props->bikes($readBook($workshop))),
                'people' => Inertia::optional(
                    fn(PeopleProps $people, SignIns $signIns) => $people->all(
                        $workshop,
                        $current->user(),
                        $current->role(),
                        $signIns->here($request),
                    ),
                ),
                'keep' => Inertia::optional(fn(KeepProps $keep) => $keep->all($workshop)),
            ],
        );
    }

    public function update(SettingsRequest $request, ChangeSettings $changeSettings): RedirectResponse
    {
        return $this->done($changeSettings($request->context(), null, $request->settings(), $request->boolean('also_past')));
    }
}
