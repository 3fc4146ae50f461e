<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Models\Jar;
use App\Models\JarEntry;
use App\Models\Workshop;
use App\Text\StripWords;
use App\Text\Translator;
use Dripel\Core\Logbook\Book;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarRole;
use Dripel\Core\Strip\JarState;
use Dripel\Core\Strip\Solvent;

/**
 * Solvent jars: what each holds, how far it is used up, what can be done with it, and its records.
 *
 * @phpstan-import-type Choice from FormProps
 * @phpstan-import-type EntryLine from PotProps
 *
 * @phpstan-type JarView array{
 *     id: int,
 *     name: string,
 *     role: value-of<JarRole>,
 *     roleName: string,
 *     holds: string,
 *     empty: bool,
 *     since: string,
 *     done: int,
 *     allowed: int|null,
 *     cleanings: string,
 *     because: string,
 *     grease: string,
 *     spent: string|null,
 *     settling: string|null,
 *     inJob: string|null,
 *     signal: string|null,
 *     unused: bool,
 *     volume: string,
 *     acts: list<array{value: value-of<JarAct>, title: string, volume: bool}>,
 * }
 * @phpstan-type JarOutOfUse array{id: int, name: string, role: value-of<JarRole>, unused: bool}
 * @phpstan-type JarHazard array{signal: string|null, text: string, by: string, jars: string}
 * @phpstan-type JarLedger array{id: int, name: string, holds: string, entries: list<EntryLine>}
 * @phpstan-type SolventChoice array{
 *     value: value-of<Solvent>,
 *     title: string,
 *     hazard: string,
 * }
 */
final readonly class JarProps
{
    private const ENTRIES = 40;

    private StripWords $words;

    public function __construct(private Translator $translator)
    {
        $this->words = new StripWords($translator);
    }

    /**
     * @param array<int, JarState> $jars
     * @param list<int> $busy that a job has open
     * @param list<int> $used those of which something was written down
     *
     * @return list<JarView>
     */
    public function shelf(array $jars, array $busy, array $used): array
    {
        return array_values(
            array_map(
                fn(JarState $jar) => $this->jar($jar, in_array($jar->jarId, $busy, true), !in_array($jar->jarId, $used, true)),
                $jars,
            ),
        );
    }

    /**
     * @param list<int> $used those of which something was written down
     *
     * @return list<JarOutOfUse>
     */
    public function outOfUse(Workshop $workshop, array $used): array
    {
        $settings = $this->translator->settings;
        $ids = array_filter($settings->subjects(SettingKey::JarGone), fn(int $id) => $settings->whole(SettingKey::JarGone, $id) === 1);
        $gone = Jar::query()->in($workshop)->live()->whereKey($ids)->orderBy('id')->get();

        return array_values(
            $gone
                ->map(
                    fn(Jar $jar) => [
                        'id' => $jar->id,
                        'name' => $this->translator->names->jar($jar->id),
                        'role' => (JarRole::tryFrom($settings->text(SettingKey::JarRole, $jar->id)) ?? JarRole::Dirty)->value,
                        'unused' => !in_array($jar->id, $used, true),
                    ],
                )
                ->all(),
        );
    }

    /**
     * Each danger once, with the jars that have it.
     *
     * @param array<int, JarState> $jars
     *
     * @return list<JarHazard>
     */
    public function hazards(array $jars): array
    {
        $hazards = [];
        foreach ($jars as $jar) {
            if ($jar->solvent !== null && $jar->volumeMl > 0.0) {
                $text = $this->words->hazard($jar->solvent, $jar->hazard, $jar->flashC);
                $by = $this->translator->say($jar->flashC === null ? 'strip.hazard.kind' : 'strip.hazard.own');
                $hazards[$text . $by][] = ['signal' => $jar->hazard?->class?->signal(), 'text' => $text, 'by' => $by, 'jar' => $jar->jarId];
            }
        }

        return array_values(
            array_map(
                fn(array $same) => [
                    'signal' => $same[0]['signal'],
                    'text' => $same[0]['text'],
                    'by' => $same[0]['by'],
                    'jars' => $this->translator->names->list(
                        array_map(fn(array $one) => $this->translator->names->jar($one['jar']), $same),
                    ),
                ],
                $hazards,
            ),
        );
    }

    /**
     * @param array<int, JarState> $jars
     *
     * @return list<JarLedger> what was done with each, the newest first
     */
    public function ledgers(Workshop $workshop, Book $book, array $jars): array
    {
        $entries = $book->kept('newest of jars', fn() => $this->entries($workshop, array_keys($jars)));

        return array_values(
            array_map(
                fn(JarState $jar) => [
                    'id' => $jar->jarId,
                    'name' => $this->translator->names->jar($jar->jarId),
                    'holds' => $this->holds($jar),
                    'entries' => $entries[$jar->jarId] ?? [],
                ],
                $jars,
            ),
        );
    }

    /** @return list<SolventChoice> */
    public function solvents(): array
    {
        return array_map(
            fn(Solvent $solvent) => [
                'value' => $solvent->value,
                'title' => ucfirst($this->words->solvent($solvent)),
                'hazard' => $this->words->hazard($solvent, $solvent->hazard()),
            ],
            Solvent::stocked(),
        );
    }

    /** @return list<Choice> */
    public function roles(): array
    {
        return array_map(
            fn(JarRole $role) => ['value' => $role->value, 'title' => ucfirst($this->translator->say("strip.jar.role.{$role->value}"))],
            JarRole::cases(),
        );
    }

    private function holds(JarState $jar): string
    {
        return $jar->solvent === null || $jar->volumeMl <= 0.0
            ? $this->translator->say('strip.jar.empty')
            : $this->translator->say('strip.jar.holds', [
                'ml' => $this->translator->quantities->volume($jar->volumeMl),
                'solvent' => $this->words->solvent($jar->solvent),
            ]);
    }

    /**
     * @param list<int> $jarIds
     *
     * @return array<int, list<EntryLine>> by jar
     */
    private function entries(Workshop $workshop, array $jarIds): array
    {
        $q = $this->translator->quantities;
        $entries = [];
        foreach (JarEntry::query()->in($workshop)->newestOfEach($jarIds, self::ENTRIES)->get() as $row) {
            $entries[$row->component_id][] = [
                'id' => $row->id,
                'day' => $q->date($row->at, 'd MMM y'),
                'text' =>
                    $this->translator->say("strip.acted.{$row->act->value}", [
                        'jar' => fn(): string => $this->translator->names->jar($row->component_id),
                        'ml' => fn(): string => $q->volume((float) $row->volume_ml),
                        'solvent' => fn(): string => $row->solvent === null ? '' : $this->words->solvent($row->solvent),
                    ]) . ($row->note === null ? '' : ": {$row->note}"),
            ];
        }

        return $entries;
    }

    /** @return JarView */
    private function jar(JarState $jar, bool $busy, bool $unused): array
    {
        $q = $this->translator->quantities;

        return [
            'id' => $jar->jarId,
            'name' => $this->translator->names->jar($jar->jarId),
            'role' => $jar->role->value,
            'roleName' => $this->translator->say("strip.jar.role.{$jar->role->value}"),
            'holds' => $this->holds($jar),
            'empty' => $jar->volumeMl <= 0.0,
            'since' =>
                $jar->filledS === null
                    ? ''
                    : $this->translator->say($jar->role === JarRole::Waste ? 'strip.jar.collected' : 'strip.jar.filled', [
                        'day' => $q->date($jar->filledS, 'd MMM y'),
                    ]),
            'done' => $jar->cleanings,
            'allowed' => $jar->volumeMl > 0.0 ? $jar->cleaningsAllowed : null,
            'cleanings' =>
                $jar->cleaningsAllowed === null || $jar->volumeMl <= 0.0
                    ? ''
                    : $this->translator->say('strip.jar.cleanings', [
                        'done' => (string) $jar->cleanings,
                        'allowed' => (string) $jar->cleaningsAllowed,
                    ]),
            'because' =>
                $jar->cleaningsAllowed === null || $jar->volumeMl <= 0.0
                    ? ''
                    : $this->translator->say($jar->byCascade ? 'strip.jar.by_cascade' : 'strip.jar.by_practice'),
            'grease' => $jar->greaseG > 0.0 ? $this->translator->say('strip.jar.grease', ['grams' => $q->mass($jar->greaseG)]) : '',
            'spent' => $jar->spent() ? $this->translator->say('strip.jar.spent') : null,
            'settling' =>
                $jar->settlingS === null
                    ? null
                    : $this->translator->say('strip.jar.settling', [
                        'day' => $q->day($jar->settlingS),
                        'until' => $q->day((int) $jar->settledS()),
                    ]),
            'inJob' => $busy ? $this->translator->say('strip.jar.in_job') : null,
            'signal' => $jar->hazard?->class?->signal(),
            'unused' => $unused,
            'volume' => (string) round($jar->volumeMl),
            'acts' => array_values(
                array_map(
                    fn(JarAct $act) => [
                        'value' => $act->value,
                        'title' => $this->translator->say("strip.act.{$act->value}"),
                        'volume' => $act->hasVolume(),
                    ],
                    array_filter(
                        JarAct::cases(),
                        fn(JarAct $act) => $jar->volumeMl > 0.0
                            ? $jar->role !== JarRole::Waste || $act === JarAct::HandIn
                            : $act === JarAct::Fill && $jar->role !== JarRole::Waste,
                    ),
                ),
            ),
        ];
    }
}
