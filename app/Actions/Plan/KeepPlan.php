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

/** What somebody wants otherwise of the plan: days pinned or forbidden, chains left out of a pot, how far ahead, by which terms. */
final readonly class KeepPlan
{
    public function __construct(private Ledger $ledger) {}

    /**
     * @param array<string, string|int|float|list<mixed>|null> $settings by SettingKey, of the plan alone
     * @param array<int, list<string>>|null $notOn by chain: the pot days that it stays out of; null: as before
     * @param array<int, int|null>|null $atOnce by pot: how many chains go in at once; null: as before
     */
    public function __invoke(ActionContext $by, array $settings, ?array $notOn = null, ?array $atOnce = null): Action
    {
        return $this->ledger->record($by, ActionKind::KeepPlan, function (Draft $draft) use ($settings, $notOn, $atOnce): About {
            // What is pinned now takes the place of a plan by hand of before.
            if (array_key_exists(SettingKey::PlanPinned->value, $settings)) {
                $settings[SettingKey::PlanByHand->value] = null;
            }
            foreach ($settings as $key => $value) {
                $this->void($draft, $key);
                $value === null || $draft->set(SettingKey::from($key), $value, 0);
            }
            if ($notOn !== null) {
                $this->void($draft, SettingKey::ChainNotOn->value);
                foreach ($notOn as $chainId => $dates) {
                    $dates === [] || $draft->set(SettingKey::ChainNotOn, $dates, 0, chainId: $chainId);
                }
            }
            if ($atOnce !== null) {
                $this->void($draft, SettingKey::PotAtOnce->value);
                foreach ($atOnce as $potId => $chains) {
                    $chains === null || $draft->set(SettingKey::PotAtOnce, $chains, 0, chainId: $potId);
                }
            }
            $dates = (array) ($settings[SettingKey::PlanPinned->value] ?? []);

            return new About(potDays: array_map(strval(...), array_values($dates)), byHand: $dates !== []);
        });
    }

    private function void(Draft $draft, string $key): void
    {
        Setting::query()->in($draft->workshop)->live()->where('key', $key)->get()->each(fn(Setting $old) => $draft->void($old));
    }
}
