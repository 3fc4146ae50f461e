<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Actions\Workshop\RemoveUnused;
use App\Cost\ReadPrices;
use App\Guided\OpenJobs;
use App\Logbook\ReadBook;
use App\Models\Jar;
use App\Models\Pot;
use App\Models\Workshop;
use App\Pot\ReadBaths;
use App\Text\CareWords;
use App\Text\ChainWords;
use App\Text\Translator;
use App\Text\Translators;
use Dripel\Core\Bath\BathState;
use Dripel\Core\Bath\DipPickup;
use Dripel\Core\Care\CareDue;
use Dripel\Core\Care\Conversion;
use Dripel\Core\Logbook\Book;

/**
 * The home of the main job: what is to be done at the bench, which chains the pot takes, the other work, pots and jars.
 *
 * @phpstan-import-type FormDefaults from FormProps
 * @phpstan-import-type JarHazard from JarProps
 * @phpstan-import-type JarOutOfUse from JarProps
 * @phpstan-import-type JarView from JarProps
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type NextLine from NextProps
 * @phpstan-import-type PotChoices from PotProps
 * @phpstan-import-type PotOnShelf from PotProps
 * @phpstan-import-type PotOutOfUse from PotProps
 * @phpstan-import-type PotWall from ShedProps
 * @phpstan-import-type SolventChoice from JarProps
 *
 * @phpstan-type BenchWork array{
 *     what: 'strip'|'drip'|'brush'|'convert',
 *     title: string,
 *     text: string,
 *     choices: list<array{title: string, text: string, href: string, due: bool}>,
 * }
 * @phpstan-type PotPage array{
 *     evening: list<NextLine>,
 *     wall: PotWall,
 *     works: list<BenchWork>,
 *     pots: list<PotOnShelf>,
 *     potsOutOfUse: list<PotOutOfUse>,
 *     potChoices: PotChoices,
 *     jars: list<JarView>,
 *     jarsOutOfUse: list<JarOutOfUse>,
 *     hazards: list<JarHazard>,
 *     solvents: list<SolventChoice>,
 *     roles: list<Choice>,
 *     units: array{mass: string, temperature: string},
 *     forms: FormDefaults,
 * }
 */
final readonly class PotPageProps
{
    public function __construct(
        private ReadShed $readShed,
        private ReadBook $readBook,
        private OpenJobs $openJobs,
        private ReadBaths $readBaths,
        private ReadPrices $readPrices,
        private StripProps $stripProps,
        private Translators $translators,
    ) {}

    /** @return PotPage */
    public function all(Workshop $workshop): array
    {
        $translator = $this->translators->current();
        $book = ($this->readBook)($workshop);
        $shed = ($this->readShed)($workshop);
        $baths = ($this->readBaths)($workshop);
        $jars = $shed->jars;
        $prices = ($this->readPrices)($workshop);
        $pots = new PotProps($translator);
        $shelf = new JarProps($translator);
        $pickup = DipPickup::of($baths);
        [$usedPots, $usedJars] = array_map(
            fn(string $kind): array => $book->kept("used {$kind}", fn() => RemoveUnused::used($workshop, $kind)),
            [Pot::class, Jar::class],
        );
        $potDays = PotProps::potDays($workshop);

        return [
            'evening' => $shed->benchWork(),
            'wall' => $shed->pot(),
            'works' => $this->works($workshop, $book, $shed, $translator),
            'pots' => array_values(
                array_map(fn(BathState $bath) => $pots->onShelf($workshop, $bath, $prices, $pickup, $usedPots, $potDays), $baths),
            ),
            'potsOutOfUse' => $pots->outOfUse($workshop, $usedPots),
            'potChoices' => $pots->choices(),
            'jars' => $shelf->shelf($jars, $this->openJobs->busyJars($workshop, $shed->jobs), $usedJars),
            'jarsOutOfUse' => $shelf->outOfUse($workshop, $usedJars),
            'hazards' => $shelf->hazards($jars),
            'solvents' => $shelf->solvents(),
            'roles' => $shelf->roles(),
            'units' => [
                'mass' => $translator->quantities->units->mass,
                'temperature' => $translator->quantities->units->temperature,
            ],
            'forms' => (new FormProps($book, $translator))->all(),
        ];
    }

    /** @return list<BenchWork> what else is done at the bench, each with what it could be done to */
    private function works(Workshop $workshop, Book $book, ShedProps $shed, Translator $translator): array
    {
        $chains = new ChainWords($translator);
        $care = new CareWords($translator);
        $choices = ['strip' => [], 'drip' => [], 'brush' => [], 'convert' => []];
        foreach ($this->stripProps->waiting($workshop, $book) as $chain) {
            $choices['strip'][] = [
                'title' => $chain['name'],
                'text' => $chain['load'],
                'href' => "/strip?chains[]={$chain['id']}",
                'due' => false,
            ];
        }
        foreach ($shed->rails() as $rail) {
            $bike = $translator->names->bike($rail->bikeId);
            if ($rail->fitted !== null && !$rail->fitted->retired()) {
                $choices['drip'][] = [
                    'title' => $translator->names->fullChain($rail->fitted->chainId),
                    'text' => $chains->status($rail->fitted),
                    'href' => "/chains/{$rail->fitted->chainId}/drip",
                    'due' => false,
                ];
            }
            $choices['brush'][] = [
                'title' => $bike,
                'text' => $care->brushed($book, $rail->bikeId),
                'href' => "/bikes/{$rail->bikeId}#drivetrain",
                'due' => CareDue::of($book, $rail->bikeId, $translator->nowS)->due,
            ];
            if (Conversion::of($book, $rail->bikeId, $translator->nowS) !== null) {
                $choices['convert'][] = [
                    'title' => $bike,
                    'text' => '',
                    'href' => "/bikes/{$rail->bikeId}/convert",
                    'due' => false,
                ];
            }
        }

        return array_map(
            fn(string $what, array $of) => [
                'what' => $what,
                'title' => $translator->say("ui.pot.work.{$what}.title"),
                'text' => $translator->say("ui.pot.work.{$what}.text"),
                'choices' => $of,
            ],
            array_keys($filled = array_filter($choices)),
            $filled,
        );
    }
}
