<?php

declare(strict_types=1);

namespace App\Http\Controllers\Offline;

use App\Guided\OpenJobs;
use App\Http\Controllers\Controller;
use App\Http\PagesTogether;
use App\Http\Streamed;
use App\Logbook\ReadBook;
use App\Models\User;
use App\Models\Workshop;
use App\Support\CacheMemo;
use App\Support\CurrentWorkshop;
use App\Text\JobWords;
use App\Text\Translator;
use App\Text\Translators;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Next\OpenJob;
use Generator;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\URL;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

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

    /** The pages that are to open without the machine, one after the other: all, or those behind the one that came last (`after`). */
    public function pages(
        Request $request,
        PagesTogether $together,
        CurrentWorkshop $current,
        ReadBook $readBook,
        Translators $translators,
        OpenJobs $openJobs,
        CacheMemo $memo,
    ): StreamedResponse {
        $wanted = self::wanted($readBook($current->workshop()), $translators->current(), $openJobs($current->workshop()));
        $last = array_search($request->query('after'), array_column($wanted, 'url'), true);
        $left = $last === false ? $wanted : array_slice($wanted, $last + 1);

        return Streamed::lines(
            (function () use ($request, $together, $left, $memo): Generator {
                foreach ($left as $one) {
                    $page = $together->page($request, $one['url']);
                    // Nobody waits for the last of them with what the first have worked out.
                    $memo->keep();
                    yield $one + ['page' => $page];
                }
            })(),
        );
    }

    /**
     * What hangs, what is next, what is under way.
     *
     * @param list<OpenJob> $jobs
     *
     * @return list<array{url: string, title: string}>
     */
    private static function wanted(Book $book, Translator $translator, array $jobs): array
    {
        $nav = fn(string $name): array => ['url' => $name === 'shed' ? '/' : "/{$name}", 'title' => $translator->say("ui.nav.{$name}")];
        $ofChain = function (int $id) use ($book, $translator): array {
            $name = $translator->names->fullChain($id);
            $named = fn(string $path, string $label) => ['url' => $path, 'title' => "{$name}, {$translator->say($label)}"];

            return [
                ['url' => "/chains/{$id}", 'title' => $name],
                $named("/tags/{$id}", 'ui.tag.title'),
                ...$book->chain($id, $translator->nowS)->dryness->wet() ? [$named("/chains/{$id}/wet", 'ui.wet.dry_title')] : [],
            ];
        };

        return [
            ...array_map($nav, ['shed', 'pot', 'ahead', 'help']),
            ...array_map(fn(OpenJob $job) => ['url' => "/jobs/{$job->id}", 'title' => (new JobWords($translator))->title($job)], $jobs),
            ...array_merge(...array_map($ofChain, array_values(array_filter($book->chainIds, fn(int $id) => !$book->isRetired($id))))),
        ];
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
