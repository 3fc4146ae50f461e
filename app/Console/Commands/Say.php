<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Command\CommandParser;
use App\Exceptions\LogbookConflict;
use App\Exceptions\NotPossible;
use App\Exceptions\UndoBlocked;
use App\Http\Problems;
use App\Http\Props\CommandProps;
use App\Http\Props\DoneProps;
use App\Logbook\ActionContext;
use App\Models\Membership;
use App\Models\User;
use App\Support\CurrentWorkshop;
use Dripel\Core\Input\InvalidInput;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;

/** The line of the app on the machine's own command line: whoever has the machine speaks for one of its accounts. */
final class Say extends Command
{
    protected $signature = 'dripel:say
        {words* : as typed in the app: ride heron 62 wet yesterday}
        {--as= : the e-mail of the account; may be left out where only one person writes here}
        {--yes : do it without asking}';

    protected $description = 'Say what a typed line would do, and do it: ride heron 62 wet';

    public function handle(CommandProps $answer, CommandParser $parser, CurrentWorkshop $current, DoneProps $done): int
    {
        $user = $this->user();
        if ($user === null) {
            return self::FAILURE;
        }
        Auth::setUser($user);
        $by = new ActionContext($current->workshop(), $user, (string) Str::uuid());
        $text = implode(' ', array_map(strval(...), (array) $this->argument('words')));
        try {
            $said = $answer($text, $by);
            foreach (
                [...$said['examples'], ...array_map(fn(array $one) => trim("{$one['title']} {$one['text']}"), $said['next'])]
                as $line
            ) {
                $this->line($line);
            }
            if ($said['problem'] !== null) {
                $this->error($said['problem']);
                $said['guess'] === null || $this->line("dripel:say {$said['guess']}");

                return self::FAILURE;
            }
            if ($said['sentence'] === null) {
                return self::SUCCESS;
            }
            $this->info($said['sentence']);
            array_map($this->warn(...), $said['cautions']);
            foreach ($said['chains'] as $chain) {
                foreach ($chain['lines'] as $line) {
                    $this->line("  {$chain['chain']}, {$line['name']}: {$line['before']} → {$line['after']}");
                }
            }
            if (!$this->option('yes') && !$this->confirm('Write it down?')) {
                $this->line('Nothing was written.');

                return self::SUCCESS;
            }
            $this->line($done->of(($parser($text)->do)($by))['text']);

            return self::SUCCESS;
        } catch (NotPossible | LogbookConflict $e) {
            $this->error(Problems::sentence($e));
        } catch (InvalidInput $e) {
            $this->error((string) __('errors.input', ['problem' => $e->getMessage()]));
        } catch (UndoBlocked) {
            $this->error('Other entries stand on it: undo it in the app, which shows them first.');
        }

        return self::FAILURE;
    }

    /** Who speaks: the one named, or the only one who may write. */
    private function user(): ?User
    {
        $email = $this->option('as');
        $writers = Membership::query()
            ->get()
            ->filter(fn(Membership $one) => $one->role->mayWrite())
            ->map(fn(Membership $one) => $one->user_id);
        $users = User::query()->whereIn('id', $writers)->whereNotNull('workshop_id')->with('workshop')->get();
        if (is_string($email)) {
            $user = $users->first(fn(User $one) => $one->email === mb_strtolower(trim($email)));
            $user === null && $this->error("Nobody with the e-mail {$email} may write in a workshop here.");

            return $user;
        }
        $users->count() === 1 || $this->error('Say whose entry it is: --as=E-MAIL of somebody who may write in a workshop here.');

        return $users->count() === 1 ? $users->first() : null;
    }
}
