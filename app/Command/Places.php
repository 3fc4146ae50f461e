<?php

declare(strict_types=1);

namespace App\Command;

use App\Logbook\ReadBook;
use App\Support\CurrentWorkshop;
use App\Support\ListSearch;
use App\Text\Translators;

/**
 * Where one could go by what is typed: chains, bikes and pages whose names have every word of it.
 *
 * @phpstan-type Place array{title: string, what: string, href: string}
 */
final readonly class Places
{
    private const MOST = 6;

    private const PAGES = [
        'nav.shed' => '/',
        'nav.pot' => '/pot',
        'nav.gauge' => '/gauge',
        'nav.rides' => '/rides',
        'nav.ahead' => '/ahead',
        'nav.books' => '/books',
        'nav.history' => '/history',
        'nav.settings' => '/settings',
        'nav.help' => '/help',
        'pot_day.title' => '/pot-day',
        'strip_plan.title' => '/strip',
        'what_if.title' => '/ahead/what-if',
        'how.title' => '/gauge/how-right',
        'money.title' => '/books/money',
        'books.tab.stock' => '/books/stock',
        'bike.part.parts' => '/books/parts',
        'labels.title' => '/labels',
        'tracks.title' => '/tracks',
        'new_chain.title' => '/chains/new',
        'bike.new' => '/bikes/new',
        'arrive.title' => '/arrive',
    ];

    public function __construct(private CurrentWorkshop $current, private ReadBook $readBook, private Translators $translators) {}

    /** @return list<Place> none for nothing */
    public function __invoke(string $text): array
    {
        $search = new ListSearch(trim($text));
        if (mb_strlen($search->text) < 2) {
            return [];
        }
        $book = ($this->readBook)($this->current->workshop());
        $translator = $this->translators->current();
        $places = [];
        foreach ($book->bikeIds as $id) {
            $places[] = [
                'title' => $translator->names->bike($id),
                'what' => $translator->say('ui.command.place.bike'),
                'href' => "/bikes/{$id}",
            ];
        }
        foreach ($book->chainIds as $id) {
            $places[] = [
                'title' => $translator->names->fullChain($id),
                'what' => $translator->say('ui.command.place.chain'),
                'href' => "/chains/{$id}",
            ];
        }
        foreach (self::PAGES as $code => $href) {
            $places[] = ['title' => $translator->say("ui.{$code}"), 'what' => $translator->say('ui.command.place.page'), 'href' => $href];
        }

        return array_slice(array_values(array_filter($places, fn(array $place) => $search->found($place['title']))), 0, self::MOST);
    }
}
