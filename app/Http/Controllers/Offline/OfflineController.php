<?php

declare(strict_types=1);

namespace App\Http\Controllers\Offline;

use App\Guided\OpenJobs;
use App\Http\Controllers\Controller;
use App\Logbook\ReadBook;
use App\Models\User;
use App\Models\Workshop;
use App\Support\CurrentWorkshop;
use App\Text\JobWords;
use App\Text\Translators;
use Dripel\Core\Next\OpenJob;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\URL;
use Inertia\Inertia;
use Inertia\Response;

/**
 * What a device keeps for when it cannot reach the machine, and for whom.
 *
 * @phpstan-type NotKeptPage array{pages: list<array{url: string, title: string}>}
 */
final class OfflineController extends Controller
{
    /** The empty page into which a device puts what it has kept. */
    public function shell(): Response
    {
        return Inertia::render('Offline/NotKept', self::nothing());
    }

    /** @return NotKeptPage the device says itself what it has kept */
    private static function nothing(): array
    {
        return ['pages' => []];
    }

    /** The pages that are to open without the machine: what hangs, what is next, what is under way. */
    public function pages(CurrentWorkshop $current, ReadBook $readBook, Translators $translators, OpenJobs $openJobs): JsonResponse
    {
        $book = $readBook($current->workshop());
        $translator = $translators->current();
        $nav = fn(string $name): string => $translator->say("ui.nav.{$name}");
        $inUse = array_filter($book->chainIds, fn(int $id) => !$book->isRetired($id));

        return response()->json([
            ['url' => '/', 'title' => $nav('shed')],
            ['url' => '/pot', 'title' => $nav('pot')],
            ['url' => '/ahead', 'title' => $nav('ahead')],
            ['url' => '/help', 'title' => $nav('help')],
            ...array_map(
                fn(OpenJob $job) => ['url' => "/jobs/{$job->id}", 'title' => (new JobWords($translator))->title($job)],
                $openJobs($current->workshop()),
            ),
            ...array_merge(
                ...array_map(
                    fn(int $id) => [
                        ['url' => "/chains/{$id}", 'title' => $translator->names->fullChain($id)],
                        ['url' => "/tags/{$id}", 'title' => "{$translator->names->fullChain($id)}, {$translator->say('ui.tag.title')}"],
                        ...$book->chain($id, $translator->nowS)->dryness->wet()
                            ? [
                                [
                                    'url' => "/chains/{$id}/wet",
                                    'title' => "{$translator->names->fullChain($id)}, {$translator->say('ui.wet.dry_title')}",
                                ],
                            ]
                            : [],
                    ],
                    array_values($inUse),
                ),
            ),
        ]);
    }

    /** Whether a person still belongs to a workshop: a device that is signed out asks before it keeps their entries any longer. */
    public function stay(Workshop $workshop, User $user): JsonResponse
    {
        return response()->json(['stays' => $user->membershipIn($workshop) !== null]);
    }

    /** The address that answers it for a person and a workshop; nobody can make one up. */
    public static function addressOf(Workshop $workshop, User $user): string
    {
        return URL::signedRoute('offline.stay', ['workshop' => $workshop->id, 'user' => $user->id], absolute: false);
    }
}
