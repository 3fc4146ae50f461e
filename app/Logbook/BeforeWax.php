<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Exceptions\NotPossible;
use App\Models\Strip;
use App\Text\Names;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\PotDay\PotRefusal;

/** No wax, hot or drip, goes over grease or oil: whatever is recorded as waxed was stripped before. */
final readonly class BeforeWax
{
    /**
     * What was stripped though nobody wrote it down is written down with it.
     *
     * @param list<int> $chainIds
     * @param bool $stripped whether somebody says that they were
     *
     * Refused with NotPossible at `stripped` for one that has grease or oil on it.
     */
    public static function expect(Book $book, Draft $draft, array $chainIds, Moment $at, bool $stripped): void
    {
        foreach ($chainIds as $chainId) {
            $greasy = PotRefusal::greasy($book->chain($chainId, $at->unixS), $book->settings);
            if ($greasy === null) {
                continue;
            }
            $stripped ||
                throw new NotPossible('stripped', "pot_day.{$greasy->value}", [
                    'chain' => (new Names($book->settings))->fullChain($chainId),
                ]);
            $draft->enter(Strip::class, $at, ['component_id' => $chainId]);
        }
    }

    /**
     * Drip wax goes over the quick link with the chain: one that was opened since the chain was stripped is cleaned alone.
     *
     * Refused with NotPossible at `stripped`.
     */
    public static function expectLink(Book $book, Draft $draft, int $chainId, Moment $at, bool $stripped): void
    {
        $link = $book->inventory()->greasedLink($chainId, $at->unixS);
        if ($link !== null) {
            $stripped ||
                throw new NotPossible('stripped', 'drip_over_link', ['chain' => (new Names($book->settings))->fullChain($chainId)]);
            $draft->set(SettingKey::LinkStripped, 1, $at->unixS, chainId: $link->id);
        }
    }
}
