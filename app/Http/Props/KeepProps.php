<?php

declare(strict_types=1);

namespace App\Http\Props;

use App\Archive\Backups;
use App\Archive\VerifyFigures;
use App\Archive\WorkshopFile;
use App\Models\Device;
use App\Models\Workshop;
use App\Text\Translators;

/**
 * How a workshop is kept and taken away: its file, its tables, its backups, the displays that read it.
 *
 * @phpstan-import-type DeviceView from DeviceProps
 *
 * @phpstan-type KeepView array{
 *     backup: array{text: string, old: bool}|null,
 *     verified: string,
 *     displays: list<DeviceView>,
 *     tables: list<string>,
 * }
 */
final readonly class KeepProps
{
    /** A backup of each night is late after so many seconds: a machine may be off for a night. */
    private const BACKUP_OLD_S = 172_800;

    public function __construct(private Translators $translators, private Backups $backups, private VerifyFigures $verifyFigures) {}

    /** @return KeepView */
    public function all(Workshop $workshop): array
    {
        return [
            'backup' => $this->backup($workshop),
            'verified' => $this->verified($workshop),
            'displays' => (new DeviceProps($this->translators->current()))->all($workshop, Device::DISPLAY),
            'tables' => WorkshopFile::asCsv(),
        ];
    }

    /** @return array{text: string, old: bool}|null how old the newest backup of the installation is; null: the demo, which needs none */
    private function backup(Workshop $workshop): ?array
    {
        if (config()->boolean('dripel.demo')) {
            return null;
        }
        $translator = $this->translators->current();
        $newest = $this->backups->newest();
        $q = $translator->quantities;
        // Of a workshop that was opened today there need not be one yet.
        $sinceS = $newest->madeS ?? (int) $workshop->created_at?->getTimestamp();
        $old = $sinceS < $translator->nowS - self::BACKUP_OLD_S;

        return [
            'old' => $old,
            'text' =>
                $newest === null
                    ? $translator->say('ui.keep.backup_none')
                    : $translator->say($old ? 'ui.keep.backup_old' : 'ui.keep.backup', [
                        'when' => $q->dayAndTime($newest->madeS),
                        'size' => $q->number($newest->bytes / 1e6, 1) . "\u{a0}MB",
                    ]),
        ];
    }

    /** When the figures were last held against the entries; empty: they were not, nothing is kept packed. */
    private function verified(Workshop $workshop): string
    {
        $last = $this->verifyFigures->last($workshop);
        $translator = $this->translators->current();

        return $last === null
            ? ''
            : $translator->say($last[1] ? 'ui.keep.verified' : 'ui.keep.verified_not', [
                'when' => $translator->quantities->dayAndTime($last[0]),
            ]);
    }
}
