<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Models\Action;
use App\Models\Jar;
use App\Models\JarEntry;
use Dripel\Core\Logbook\Moment;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\JarAct;
use Dripel\Core\Strip\JarEntry as CoreEntry;
use Dripel\Core\Strip\JarRole;

/** A jar comes onto the shelf, filled or empty. */
final readonly class AddJar
{
    public function __construct(private Ledger $ledger, private FreeNames $freeNames) {}

    /** Refused with NotPossible at `name` if another jar has it. */
    public function __invoke(ActionContext $by, string $name, JarRole $role, Moment $at, ?CoreEntry $filled): Action
    {
        return $this->ledger->record($by, ActionKind::AddJar, function (Draft $draft) use ($by, $name, $role, $at, $filled): About {
            $this->freeNames->expect($by->workshop, Jar::class, $name);
            $jar = $draft->create(Jar::class, ['kind' => Jar::KIND]);
            $draft->set(SettingKey::JarName, $name, 0, chainId: $jar->id);
            $draft->set(SettingKey::JarRole, $role->value, 0, chainId: $jar->id);
            $filled === null ||
                $draft->enter(JarEntry::class, $at, [
                    'component_id' => $jar->id,
                    'act' => JarAct::Fill,
                    'volume_ml' => $filled->volumeMl,
                    'solvent' => $filled->solvent,
                    'flash_c' => $filled->flashC,
                    'boiling_c' => $filled->boilingC,
                ]);

            return new About(jar: $jar->id, at: $at->unixS);
        });
    }
}
