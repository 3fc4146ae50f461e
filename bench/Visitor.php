<?php

declare(strict_types=1);

namespace Bench;

use CurlHandle;
use RuntimeException;

/** Somebody who signs in to a served demo and asks for a page again and again. */
final readonly class Visitor
{
    private CurlHandle $curl;

    /** @param non-empty-string $url */
    public function __construct(private string $url)
    {
        $this->curl = curl_init() ?: throw new RuntimeException('curl');
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_FOLLOWLOCATION => true]);
        $this->ask('/sign-in');
        $token = '';
        foreach ((array) curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $fields = explode("\t", (string) $cookie);
            $token = $fields[5] === 'XSRF-TOKEN' ? urldecode($fields[6]) : $token;
        }
        curl_setopt_array($this->curl, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => '', CURLOPT_HTTPHEADER => ["X-XSRF-TOKEN: {$token}"]]);
        $this->ask('/demo');
        curl_setopt_array($this->curl, [CURLOPT_HTTPGET => true, CURLOPT_HTTPHEADER => []]);
    }

    /** @return float median of whole requests, in ms */
    public function medianMs(string $path, int $times = 60): float
    {
        for ($i = 0; $i < 12; $i++) {
            $this->ask($path);
        }
        $ms = [];
        for ($i = 0; $i < $times; $i++) {
            $start = hrtime(true);
            $this->ask($path);
            $ms[] = (hrtime(true) - $start) / 1e6;
        }
        sort($ms);

        return $ms[intdiv($times, 2)];
    }

    private function ask(string $path): void
    {
        curl_setopt_array($this->curl, [CURLOPT_URL => $this->url.$path]);
        curl_exec($this->curl);
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        $status === 200 || throw new RuntimeException("{$path}: HTTP {$status}");
    }
}
