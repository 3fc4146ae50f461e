<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use RuntimeException;

final class Ports
{
    private static ?int $usual = null;

    public static function free(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No port is free.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    /** The one of this process where nobody holds it, so that a browser finds what it has of the same address; else any that is free. */
    public static function usual(): int
    {
        return self::$usual !== null && !self::answers(self::$usual) ? self::$usual : (self::$usual = self::free());
    }

    public static function await(int $port): void
    {
        self::until($port, true, "Nothing answers at port {$port}.");
    }

    /** Until nobody holds a port any more: who comes next could not have it before. */
    public static function awaitSilence(int $port): void
    {
        self::until($port, false, "Somebody still answers at port {$port}.");
    }

    private static function until(int $port, bool $answers, string $else): void
    {
        for ($try = 0; $try < 200; $try++) {
            if (self::answers($port) === $answers) {
                return;
            }
            usleep(50_000);
        }
        throw new RuntimeException($else);
    }

    private static function answers(int $port): bool
    {
        $curl = curl_init("http://127.0.0.1:{$port}");
        curl_setopt_array($curl, [CURLOPT_CONNECT_ONLY => true, CURLOPT_CONNECTTIMEOUT_MS => 500]);

        return curl_exec($curl) !== false;
    }
}
