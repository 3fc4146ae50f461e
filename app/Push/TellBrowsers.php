<?php

declare(strict_types=1);

namespace App\Push;

use App\Guided\GuidedKind;
use App\Http\Props\JobProps;
use App\Http\Props\ReadShed;
use App\Models\GuidedJob;
use App\Models\PushSubscription;
use App\Models\User;
use App\Models\Workshop;
use App\People\ReadWhose;
use App\Support\AppClock;
use App\Text\JobWords;
use App\Text\Translators;
use Dripel\Core\Next\OpenJob;
use Illuminate\Support\Facades\Auth;

/** Tells the browsers that asked for it which timers have run out, and what is for today: each thing once. */
final class TellBrowsers
{
    /** A timer that ran out longer ago than this is no news. */
    private const NEWS_S = 900;

    private const TOLD_LATELY = 100;

    /** A service that does not answer is asked again after this. */
    private const AGAIN_S = 60;

    /** @var array<int, int> by subscription when it may be asked again, Unix seconds */
    private array $againS = [];

    /** What a service answers for a browser that takes no more messages. */
    private const GONE = [404, 410];

    public function __construct(private readonly AppClock $clock, private readonly PushService $push) {}

    /** @return int how many messages went out */
    public function __invoke(bool $today): int
    {
        $messages = [];
        foreach (PushSubscription::query()->with('signIn.user.workshop')->get() as $subscription) {
            $user = $subscription->signIn->user;
            $nowS = $this->clock->unixS();
            $waits = ($this->againS[$subscription->id] ?? 0) > $nowS;
            if (
                $waits ||
                $subscription->signIn->expires_at <= $nowS ||
                $user->workshop === null ||
                $user->membershipIn($user->workshop) === null
            ) {
                continue;
            }
            foreach ($this->messagesFor($user, $user->workshop, $today) as $message) {
                if (!in_array($message->once, $subscription->told, true)) {
                    $messages[] = ['subscription' => $subscription, 'message' => $message];
                }
            }
        }
        foreach ($this->push->send($messages) as $i => $status) {
            ['subscription' => $subscription, 'message' => $message] = $messages[$i];
            if (in_array($status, self::GONE, true)) {
                $subscription->delete();
            } elseif ($status >= 200 && $status < 300 && $subscription->exists) {
                $subscription->update(['told' => array_slice([...$subscription->told, $message->once], -self::TOLD_LATELY)]);
            } else {
                $this->againS[$subscription->id] = $this->clock->unixS() + self::AGAIN_S;
            }
        }

        return count($messages);
    }

    /** @return list<PushMessage> */
    private function messagesFor(User $user, Workshop $workshop, bool $today): array
    {
        $jobs = GuidedJob::query()
            ->in($workshop)
            ->open()
            ->whereNotNull('begun_at')
            ->where(fn($query) => $query->where('user_id', $user->id)->orWhereNull('user_id'))
            ->with('taps')
            ->get();
        if (!$today && $jobs->isEmpty()) {
            return [];
        }
        // What is said is said as to that person.
        app()->forgetScopedInstances();
        Auth::setUser($user);

        return [
            ...array_values($jobs->flatMap(fn(GuidedJob $job) => [$this->timeIsUp($job), $this->tooHot($job)])->filter()->all()),
            ...$today ? $this->today($user, $workshop) : [],
        ];
    }

    private function timeIsUp(GuidedJob $job): ?PushMessage
    {
        $dueS = $job->run()->dueS();
        $nowS = $this->clock->unixS();
        if ($dueS === null || $dueS > $nowS || $dueS < $nowS - self::NEWS_S) {
            return null;
        }
        $translator = app(Translators::class)->current();
        $step = new OpenJob($job->id, $job->kind->value, $job->chains, $job->run()->step()->code ?? '', null);

        return new PushMessage(
            "job-{$job->id}-{$dueS}",
            "job-{$job->id}",
            $translator->say('ui.job.time_up'),
            (new JobWords($translator))->title($step),
            "/jobs/{$job->id}",
        );
    }

    /** Said again every quarter of an hour, as long as it is. */
    private function tooHot(GuidedJob $job): ?PushMessage
    {
        $over = $job->kind === GuidedKind::PotDay ? app(JobProps::class)->state($job)['bath']['over'] ?? null : null;
        $quarter = intdiv($this->clock->unixS(), self::NEWS_S);

        return $over === null
            ? null
            : new PushMessage(
                "bath-{$job->id}-{$quarter}",
                "job-{$job->id}",
                app(Translators::class)->current()->say('ui.job.too_hot'),
                $over,
                "/jobs/{$job->id}",
            );
    }

    /** @return list<PushMessage> */
    private function today(User $user, Workshop $workshop): array
    {
        return array_map(
            fn(array $one) => new PushMessage($one['tag'], $one['tag'], $one['title'], $one['text'], '/'),
            app(ReadShed::class)($workshop, whose: app(ReadWhose::class)->told($workshop, $user))->reminders(),
        );
    }
}
