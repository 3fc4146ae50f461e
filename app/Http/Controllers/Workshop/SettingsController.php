<?php

declare(strict_types=1);

namespace App\Http\Controllers\Workshop;

use App\Actions\Workshop\ChangeSettings;
use App\Http\Controllers\Controller;
use App\Http\Props\SettingsProps;
use App\Http\Requests\Workshop\SettingsRequest;
use App\People\SignIns;
use App\Support\CurrentWorkshop;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class SettingsController extends Controller
{
    public function show(Request $request, CurrentWorkshop $current, SettingsProps $props, SignIns $signIns): Response
    {
        return Inertia::render(
            'Settings/Settings',
            $props->all($current->workshop(), $current->user(), $current->role(), $signIns->here($request)),
        );
    }

    public function update(SettingsRequest $request, ChangeSettings $changeSettings): RedirectResponse
    {
        return $this->done($changeSettings($request->context(), null, $request->settings(), $request->boolean('also_past')));
    }
}
