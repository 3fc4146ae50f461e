<?php

declare(strict_types=1);

namespace App\Actions\Pot;

use App\Exceptions\NotPossible;
use App\Guided\OpenJobs;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\BeforeWax;
use App\Logbook\Draft;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Chain;
use App\Models\Dip;
use App\Text\Names;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Strip\BareState;

/** Chains have been waxed together. */
final readonly class DipChains
{
    public function __construct(private Ledger $ledger, private ReadBook $readBook, private OpenJobs $openJobs) {}

    /**
     * Refused with NotPossible at `chains` for one that is still in a guided job, at `rust_looked` for one that was bare for
     * longer than steel stands, unless somebody looked at it, at `stripped` for one with grease or oil on it, unless somebody says that it
     * was stripped.
     *
     * @param non-empty-list<Chain> $chains
     */
    public function __invoke(
        ActionContext $by,
        array $chains,
        Moment $at,
        bool $rustLooked = false,
        DipTerms $terms = new DipTerms(),
        bool $stripped = false,
    ): Action {
        return $this->ledger->record($by, ActionKind::DipChains, function (Draft $draft) use (
            $by,
            $chains,
            $at,
            $rustLooked,
            $terms,
            $stripped,
        ): About {
            $book = $this->expectDippable($by, $chains, $at, $rustLooked);
            BeforeWax::expect($book, $draft, array_map(fn(Chain $chain) => $chain->id, $chains), $at, $stripped);
            foreach ($chains as $chain) {
                $draft->enter(Dip::class, $at, [
                    'component_id' => $chain->id,
                    'pot_id' => $terms->pot?->id,
                    'pickup_g' => $terms->pickupsG[$chain->id] ?? null,
                    'rinsed' => in_array($chain->id, $terms->rinsed, true),
                ]);
            }

            return new About(pot: $terms->pot?->id, chains: array_map(fn(Chain $chain) => $chain->id, $chains), at: $at->unixS);
        });
    }

    /** @param non-empty-list<Chain> $chains */
    private function expectDippable(ActionContext $by, array $chains, Moment $at, bool $rustLooked): Book
    {
        $book = $this->readBook->withoutRides($by->workshop);
        $names = new Names($book->settings);
        $jobs = $this->openJobs->byChain($by->workshop);
        foreach ($chains as $chain) {
            isset($jobs[$chain->id]) && throw new NotPossible('chains', 'chain_in_job', ['chain' => $names->fullChain($chain->id)]);
            $bare = $book->chain($chain->id, $at->unixS)->dryness->bare;
            $bare?->state === BareState::Late &&
                !$rustLooked &&
                throw new NotPossible('rust_looked', 'rust', ['chain' => $names->fullChain($chain->id)]);
        }

        return $book;
    }
}
