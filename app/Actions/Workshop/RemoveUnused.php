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
use Illuminate\Support\Collection;

/** What was added by mistake goes again, while nothing was ever written down about it. What was used goes out of use instead. */
final readonly class RemoveUnused
{
    public function __construct(private Ledger $ledger, private Translators $translators) {}

    /** Refused with NotPossible at `thing` once it was used. */
    public function __invoke(ActionContext $by, Pot|Jar|Bottle|Instrument $thing): Action
    {
        $kind = $thing instanceof Pot ? ActionKind::RemovePot : ActionKind::RemoveThing;

        return $this->ledger->record($by, $kind, function (Draft $draft) use ($by, $thing): About {
            in_array($thing->id, self::used($by->workshop, $thing::class), true) && throw new NotPossible('thing', 'thing_used');
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

    /**
     * @param class-string<Pot|Jar|Bottle|Instrument> $kind
     *
     * @return list<int> those of which something was written down since they were added
     */
    public static function used(Workshop $workshop, string $kind): array
    {
        $about = match ($kind) {
            Pot::class => [
                BathEntry::query()->in($workshop)->live()->distinct()->pluck('component_id'),
                Dip::query()->in($workshop)->live()->distinct()->pluck('pot_id'),
            ],
            Jar::class => [
                // What a jar was filled with as it was added is of one action with it.
                JarEntry::query()
                    ->in($workshop)
                    ->live()
                    ->whereNotIn('action_id', Jar::query()->in($workshop)->select('action_id'))
                    ->distinct()
                    ->pluck('component_id'),
                Bath::query()->in($workshop)->live()->distinct()->pluck('component_id'),
                Bath::query()->in($workshop)->live()->distinct()->pluck('into_id'),
            ],
            Bottle::class => [TopUp::query()->in($workshop)->live()->distinct()->pluck('bottle_id')],
            Instrument::class => [Reading::query()->in($workshop)->live()->distinct()->pluck('instrument_id')],
        };

        return array_values(array_unique(array_map(intval(...), array_merge(...array_map(fn(Collection $ids) => $ids->all(), $about)))));
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
