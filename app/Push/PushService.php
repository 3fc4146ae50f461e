<?php

declare(strict_types=1);

namespace App\Push;

use App\Exceptions\NotPossible;
use App\Models\PushSubscription;
use Illuminate\Support\Facades\Process;

/**
 * Hands messages to the browsers' own services, under this installation's keys. Node sends them (bin/push.mjs): PHP has no kept package
 * for it here.
 */
final readonly class PushService
{
    /** A browser that is away for longer does not need to hear it any more. */
    private const TTL_S = 900;

    private const PATIENCE_S = 30;

    /**
     * What a browser has to know to subscribe; the keys are made when the first one asks.
     *
     * @throws NotPossible at `push` if they cannot be made on this machine
     */
    public function publicKey(): string
    {
        return $this->keys()['publicKey'];
    }

    /**
     * @param list<array{subscription: PushSubscription, message: PushMessage}> $messages
     *
     * @return list<int> the status of each as its service gave it; 404 and 410: that browser is gone; 0: not reached
     */
    public function send(array $messages): array
    {
        if ($messages === []) {
            return [];
        }
        $input = json_encode(
            [
                'keys' => $this->keys(),
                'contact' => config('dripel.push.contact'),
                'messages' => array_map(
                    fn(array $one) => [
                        'endpoint' => $one['subscription']->endpoint,
                        'p256dh' => $one['subscription']->p256dh,
                        'auth' => $one['subscription']->auth,
                        'text' => json_encode($one['message'], JSON_THROW_ON_ERROR),
                        'ttlS' => self::TTL_S,
                    ],
                    $messages,
                ),
            ],
            JSON_THROW_ON_ERROR,
        );

        /** @var list<int> */
        return json_decode($this->node('send', $input), true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return array{publicKey: string, privateKey: string} */
    private function keys(): array
    {
        $file = config()->string('dripel.push.keys');
        if (!is_file($file)) {
            $made = $this->node('keys');
            // Two who ask at once use the same ones.
            $fresh = "{$file}." . bin2hex(random_bytes(4));
            $before = umask(0o077);
            file_put_contents($fresh, $made);
            umask($before);
            @link($fresh, $file);
            unlink($fresh);
        }

        /** @var array{publicKey: string, privateKey: string} */
        return json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
    }

    private function node(string $task, string $input = ''): string
    {
        $result = Process::path(base_path())
            ->timeout(self::PATIENCE_S)
            ->input($input)
            ->run(['node', 'bin/push.mjs', $task]);

        return $result->successful() ? $result->output() : throw new NotPossible('push', 'push_needs_node');
    }
}
