<?php

declare(strict_types=1);

namespace App\Actions\Strip;

use App\Exceptions\NotPossible;
use App\Guided\OpenJobs;
use App\Logbook\About;
use App\Logbook\ActionContext;
use App\Logbook\ActionKind;
use App\Logbook\Draft;
use App\Logbook\FreeNames;
use App\Logbook\Ledger;
use App\Logbook\ReadBook;
use App\Models\Action;
use App\Models\Jar;
use App\Strip\ReadJars;
use Dripel\Core\Logbook\SettingKey;
use Dripel\Core\Strip\JarRole;

/** A jar is called otherwise, serves otherwise, goes out of use or comes back. What was done with it stays. */
final readonly class ChangeJar
{
    public function __construct(
        private Ledger $ledger,
        private ReadBook $readBook,
        private FreeNames $freeNames,
        private ReadJars $readJars,
        private OpenJobs $openJobs,
    ) {}

    /** Refused with NotPossible at `name` if another jar has it, at `gone` while a job has it open or something is still in it. */
    public function __invoke(ActionContext $by, Jar $jar, string $name, JarRole $role, bool $gone): Action
    {
        return $this->ledger->record($by, ActionKind::ChangeJar, function (Draft $draft) use ($by, $jar, $name, $role, $gone): About {
            $this->freeNames->expect($by->workshop, Jar::class, $name, $jar->id);
            if ($gone) {
                in_array($jar->id, $this->openJobs->busyJars($by->workshop), true) && throw new NotPossible('gone', 'jar_in_job');
                (($this->readJars)($by->workshop)[$jar->id]->volumeMl ?? 0.0) > 0.0 && throw new NotPossible('gone', 'jar_full');
            }
            $draft->describe($this->readBook->settings($by->workshop), $jar->id, [
                SettingKey::JarName->value => $name,
                SettingKey::JarRole->value => $role->value,
                SettingKey::JarGone->value => (int) $gone,
            ]);

            return new About(jar: $jar->id, gone: $gone);
        });
    }
}
