<?php

declare(strict_types=1);

namespace App\Http;

use Generator;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** An answer that comes piece by piece, a line of JSON each, as it is worked out; it ends when the page stops listening. */
final class Streamed
{
    /** @param Generator<int, array<string, mixed>> $parts */
    public static function lines(Generator $parts): StreamedResponse
    {
        // Begun before it is answered: what cannot be worked out at all is refused as anything else is.
        $parts->rewind();

        return new StreamedResponse(
            function () use ($parts): void {
                foreach ($parts as $part) {
                    echo json_encode($part, JSON_THROW_ON_ERROR), "\n";
                    ob_get_level() > 0 && ob_flush();
                    flush();
                }
            },
            200,
            // A server in front that gathered it would hold back what is said first.
            ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no'],
        );
    }
}
