<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Arriving\PartsRow;
use App\Arriving\PartsTable;
use App\Logbook\ReadBook;
use App\Models\Bike;
use App\Support\CurrentWorkshop;
use App\Text\Translator;
use App\Text\Translators;
use Dripel\Core\Logbook\Book;

/**
 * The forms by which used bikes and parts come in.
 *
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type FormDefaults from FormProps
 *
 * @phpstan-type PartsTablePage array{
 *     columns: list<string>,
 *     text: string|null,
 *     problem: string|null,
 *     ready: bool,
 *     rows: list<array{
 *         line: int,
 *         cells: list<string>,
 *         errors: list<array{column: string, text: string}>,
 *         newBike: bool,
 *     }>,
 * }
 * @phpstan-type ArrivePage array{
 *     bike: array{id: int, name: string, letters: list<string>, free: bool}|null,
 *     interval: string,
 *     kinds: list<Choice>,
 *     forms: FormDefaults,
 * }
 */
final readonly class ArriveProps
{
    public function __construct(private CurrentWorkshop $current, private ReadBook $readBook, private Translators $translators) {}

    /** @return ArrivePage */
    public function form(?int $bikeId): array
    {
        [$book, $translator] = $this->read();

        return [
            'bike' =>
                $bikeId === null
                    ? null
                    : [
                        'id' => $bikeId,
                        'name' => $translator->names->bike($bikeId),
                        'letters' => array_map(
                            fn(int $id) => $translator->names->chain($id),
                            array_values(
                                array_filter(
                                    $book->chainIds,
                                    fn(int $id) => $book->settings->home($id, $translator->nowS) === $bikeId &&
                                        !$book->chain($id, $translator->nowS)->retired(),
                                ),
                            ),
                        ),
                        'free' => $book->fittings()->componentOn($bikeId, $translator->nowS) === null,
                    ],
            'interval' => (string) round($translator->quantities->units->fromKm($book->settings->usualIntervalKm())),
            'kinds' => array_map(
                fn(string $kind) => ['value' => $kind, 'title' => ucfirst($translator->say("ui.kinds.{$kind}"))],
                Bike::KINDS,
            ),
            'forms' => (new FormProps($book, $translator))->all(),
        ];
    }

    /**
     * @param string|null $text null: nothing chosen yet
     *
     * @return PartsTablePage
     */
    public function table(?string $text): array
    {
        [$book, $translator] = $this->read();
        $table = $text === null ? null : PartsTable::read($text, $translator->quantities->units);
        $known = array_map(fn(int $id) => mb_strtolower($translator->names->bike($id)), $book->bikeIds);

        return [
            'columns' => PartsTable::COLUMNS,
            'text' => $text,
            'problem' => $table?->problem === null ? null : $translator->say("errors.table.{$table->problem}"),
            'ready' => $table?->faultless() ?? false,
            'rows' =>
                $table === null
                    ? []
                    : array_map(
                        fn(PartsRow $row) => [
                            'line' => $row->line,
                            'cells' => array_map(fn(string $column) => $row->cells[$column] ?? '', PartsTable::COLUMNS),
                            'errors' => array_map(
                                fn(string $column, string $code) => [
                                    'column' => $column,
                                    'text' => $translator->say("errors.table.{$code}"),
                                ],
                                array_keys($row->errors),
                                $row->errors,
                            ),
                            'newBike' => !in_array(mb_strtolower($row->bike), $known, true),
                        ],
                        $table->rows,
                    ),
        ];
    }

    /** @return array{Book, Translator} */
    private function read(): array
    {
        return [($this->readBook)($this->current->workshop()), $this->translators->current()];
    }
}
