<?php

declare(strict_types=1);

namespace App\Actions\Guided;

use App\Exceptions\JobMovedOn;
use App\Exceptions\NotPossible;
use App\Guided\GuidedWorks;
use App\Logbook\ActionContext;
use App\Models\GuidedJob;
use App\Models\GuidedTap;
use App\Models\User;
use App\Models\Workshop;
use App\Support\AppClock;
use App\Support\WriteTransaction;
use Dripel\Core\Guided\JobEvent;
use Dripel\Core\Guided\JobEventKind;
use Dripel\Core\Guided\JobRun;
use Dripel\Core\Guided\JobVerdict;
use Illuminate\Support\Str;

/**
 * Takes the taps of a device, in their order: each once, whoever sends it and however often. Taps that waited for the
 * server keep the time at which they were made.
 */
final readonly class TapJob
{
    public function __construct(private GuidedWorks $works, private AppClock $clock) {}

    /**
     * @param list<Tap> $taps
     *
     * Refused with NotPossible at `ticks` where something was not confirmed that cannot be skipped, at `text` for a step that
     * is passed over without a reason, at `waxed` for a soak that is without a word on what became of the chain, at `celsius` where the
     * bath is still solid, at `job` before it has begun, or where it is recorded already and somebody wants to go back.
     *
     * @throws JobMovedOn if one speaks of a step that the job has not reached; those before it are kept
     */
    public function __invoke(GuidedJob $seen, ?User $user, array $taps): GuidedJob
    {
        $refused = false;
        $job = WriteTransaction::run(function () use ($seen, $user, $taps, &$refused): GuidedJob {
            $job = $seen->refresh()->load('taps');
            $job->begun_at !== null || throw new NotPossible('job', 'job_not_begun');
            $run = $job->run();
            $nowS = $this->clock->unixS();
            foreach ($taps as $tap) {
                if ($job->taps->contains('id', $tap->id)) {
                    continue;
                }
                $event = new JobEvent(
                    $tap->kind,
                    $tap->position,
                    min($tap->atS, $nowS),
                    isset($tap->about['waxed']) ? (string) $tap->about['waxed'] : null,
                );
                $verdict = $job->ended_at === null ? $run->verdict($event) : JobVerdict::AlreadyDone;
                if ($verdict === JobVerdict::Refused) {
                    $refused = true;
                    break;
                }
                if ($verdict === JobVerdict::Take) {
                    // What is recorded by now is put right in the record.
                    $tap->kind === JobEventKind::Back && $job->action_id !== null && throw new NotPossible('job', 'job_recorded');
                    $tap->kind === JobEventKind::Done && $this->expectDone($job, $run, $tap, $event->atS);
                    $tap->kind === JobEventKind::Skip &&
                        trim((string) ($tap->about['text'] ?? '')) === '' &&
                        throw new NotPossible('text', 'skip_why');
                    $asks = $run->step()->asks ?? [];
                    $tap->kind === JobEventKind::Skip &&
                        $asks !== [] &&
                        !in_array($event->said, $asks, true) &&
                        throw new NotPossible('waxed', 'skip_waxed');
                    $run = $run->after($event);
                    $job->taps->push(
                        GuidedTap::query()->create([
                            'id' => $tap->id,
                            'job_id' => $job->id,
                            'workshop_id' => $job->workshop_id,
                            'user_id' => $user?->id,
                            'kind' => $tap->kind,
                            'position' => $tap->position,
                            'at' => $event->atS,
                            'received_at' => $nowS,
                            'number' => $job->taps->count(),
                            'about' => $tap->about === [] ? null : $tap->about,
                        ]),
                    );
                    $tap->kind === JobEventKind::Note && $this->works->of($job)->noted($job, $tap);
                }
            }
            $this->settle($job, $run, $user);

            return $job;
        });

        return $refused ? throw new JobMovedOn($job) : $job;
    }

    private function expectDone(GuidedJob $job, JobRun $run, Tap $tap, int $atS): void
    {
        $work = $this->works->of($job);
        $refused = $work->impossible($job, $run, $atS);
        $refused === null || throw $refused;
        array_diff($run->step()->ticks ?? [], $tap->ticks) === [] ||
            $work->measured($job, $run, $atS) ||
            throw new NotPossible('ticks', 'tick_all');
    }

    /** What follows from where the job is now: the record once all of it is known, the end after the last step. */
    private function settle(GuidedJob $job, JobRun $run, ?User $user): void
    {
        $workshop = Workshop::query()->findOrFail($job->workshop_id);
        $job->action_id ??= $this->works->of($job)->record(new ActionContext($workshop, $user, (string) Str::uuid()), $job, $run)?->id;
        if ($job->ended_at === null && $run->doneS() !== null) {
            $job->ended_at = $run->doneS();
            Workshop::query()->whereKey($workshop->id)->increment('revision');
        }
        $job->save();
    }
}
