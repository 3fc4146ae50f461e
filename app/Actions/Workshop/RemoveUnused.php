<?php

declare(strict_types=1);

namespace App\Actions\Workshop;

use App\Exceptions\NotPossible;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Bath;
use App\Models\BathEntry;
use App\Models\Bottle;
use App\Models\Dip;
use App\Models\Instrument;
use App\Models\Jar;
use App\Models\JarEntry;
use App\Models\Pot;
use App\Models\Reading;
use App\Models\TopUp;
use App\Models\Workshop;
use App\Text\Translators;
use Dripel\Core\Logbook\SettingKey;

/** What was added by mistake goes again, while nothing was ever written down about it. What was used goes out of use instead. */
final readonly class RemoveUnused
{
    public function __construct(private Ledger $ledger, private Translators $translators) {}

    /** Refused with NotPossible at `thing` once it was used. */
    public function __invoke(ActionContext $by, Pot|Jar|Bottle|Instrument $thing): Action
    {
        $kind = $thing instanceof Pot ? ActionKind::RemovePot : ActionKind::RemoveThing;

        return $this->ledger->record($by, $kind, function (Draft $draft) use ($by, $thing): About {
            self::unused($by->workshop, $thing) || throw new NotPossible('thing', 'thing_used');
            $name = $this->name($thing);
            if ($thing instanceof Jar) {
                // What it was filled with as it was added goes with it.
                JarEntry::query()->in($by->workshop)->live()->where('component_id', $thing->id)->get()->each($draft->void(...));
            }
            $draft->void($thing);
            // Those are found by what is said of them.
            $gone = match (true) {
                $thing instanceof Bottle => SettingKey::BottleGone,
                $thing instanceof Instrument => SettingKey::InstrumentGone,
                default => null,
            };
            $gone === null || $draft->set($gone, 1, 0, chainId: $thing->id);

            return new About(pot: $thing instanceof Pot ? $thing->id : null, name: $name);
        });
    }

    /** Whether nothing was written down about it since it was added. */
    public static function unused(Workshop $workshop, Pot|Jar|Bottle|Instrument $thing): bool
    {
        return match (true) {
            $thing instanceof Pot => !BathEntry::query()->in($workshop)->live()->where('component_id', $thing->id)->exists() &&
                !Dip::query()->in($workshop)->live()->where('pot_id', $thing->id)->exists(),
            $thing instanceof Jar => !JarEntry::query()
                ->in($workshop)
                ->live()
                ->where('component_id', $thing->id)
                ->where('action_id', '!=', $thing->action_id)
                ->exists() &&
                !Bath::query()
                    ->in($workshop)
                    ->live()
                    ->where(fn($bath) => $bath->where('component_id', $thing->id)->orWhere('into_id', $thing->id))
                    ->exists(),
            $thing instanceof Bottle => !TopUp::query()->in($workshop)->live()->where('bottle_id', $thing->id)->exists(),
            default => !Reading::query()->in($workshop)->live()->where('instrument_id', $thing->id)->exists(),
        };
    }

    private function name(Pot|Jar|Bottle|Instrument $thing): string
    {
        $names = $this->translators->current()->names;

        return match (true) {
            $thing instanceof Pot => $names->pot($thing->id),
            $thing instanceof Jar => $names->jar($thing->id),
            $thing instanceof Bottle => $names->bottle($thing->id),
            default => $names->instrument($thing->id),
        };
    }
}
