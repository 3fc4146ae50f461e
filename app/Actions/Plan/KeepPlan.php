<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Setting;
use Dripel\Core\Logbook\SettingKey;

/** A plan of the weeks ahead is kept, followed, pinned, or given back to the machine. */
final readonly class KeepPlan
{
    public function __construct(private Ledger $ledger) {}

    /** @param array<string, string|int|float|list<mixed>|null> $settings by SettingKey, of the plan alone */
    public function __invoke(ActionContext $by, array $settings): Action
    {
        return $this->ledger->record($by, ActionKind::KeepPlan, function (Draft $draft) use ($settings): About {
            foreach ($settings as $key => $value) {
                Setting::query()
                    ->in($draft->workshop)
                    ->live()
                    ->where('key', $key)
                    ->whereNull('bike_id')
                    ->whereNull('component_id')
                    ->get()
                    ->each(fn(Setting $old) => $draft->void($old));
                $value === null || $draft->set(SettingKey::from($key), $value, 0);
            }
            $dates = (array) ($settings[SettingKey::PlanByHand->value] ?? []);

            return new About(potDays: $dates, byHand: $dates !== []);
        });
    }
}
