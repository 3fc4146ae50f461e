<?php

declare(strict_types=1);

namespace Bench;

use CurlHandle;
use RuntimeException;

/** Somebody who signs in to a served demo, asks for a page again and again, or sends many forms at one moment. */
final readonly class Visitor
{
    private CurlHandle $curl;

    /** @param non-empty-string $url */
    public function __construct(private string $url)
    {
        $this->curl = curl_init() ?: throw new RuntimeException('curl');
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_FOLLOWLOCATION => true]);
        $this->ask('/sign-in');
        $token = urldecode($this->jar()['XSRF-TOKEN']);
        curl_setopt_array($this->curl, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => '', CURLOPT_HTTPHEADER => ["X-XSRF-TOKEN: {$token}"]]);
        $this->ask('/demo');
        curl_setopt_array($this->curl, [CURLOPT_HTTPGET => true, CURLOPT_HTTPHEADER => []]);
    }

    /** What its browser sends with each request. */
    public function cookies(): string
    {
        $jar = $this->jar();

        return implode('; ', array_map(fn(string $name, string $value) => "{$name}={$value}", array_keys($jar), $jar));
    }

    /** @return array<string, string> */
    private function jar(): array
    {
        $cookies = [];
        foreach ((array) curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $fields = explode("\t", (string) $cookie);
            $cookies[$fields[5]] = $fields[6];
        }

        return $cookies;
    }

    /**
     * @param list<array{string, array<string, mixed>}> $forms path and fields of each
     *
     * @return list<int> the answers' status codes
     */
    public function postAtOnce(array $forms): array
    {
        $token = urldecode($this->jar()['XSRF-TOKEN']);
        $together = curl_multi_init();
        $all = array_map(function (array $form) use ($together, $token): CurlHandle {
            $curl = curl_init($this->url . $form[0]) ?: throw new RuntimeException('curl');
            curl_setopt_array($curl, [
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_POSTFIELDS => http_build_query($form[1]),
                CURLOPT_COOKIE => $this->cookies(),
                CURLOPT_HTTPHEADER => ['X-XSRF-TOKEN: ' . $token],
            ]);
            curl_multi_add_handle($together, $curl);

            return $curl;
        }, $forms);
        do {
            curl_multi_exec($together, $running);
            curl_multi_select($together, 0.2);
        } while ($running > 0);

        return array_map(fn(CurlHandle $curl) => curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $all);
    }

    /** @return float median of whole requests, in ms, each made anew */
    public function medianMs(string $path, int $times = 60): float
    {
        curl_setopt($this->curl, CURLOPT_HTTPHEADER, ['Cache-Control: no-cache']);
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

    /**
     * @param bool $anew whether the page is made each time, however lately it was
     *
     * @return float the quickest of some whole requests, in ms: what the page costs where nothing else runs
     */
    public function leastMs(string $path, bool $anew, int $times = 9): float
    {
        curl_setopt($this->curl, CURLOPT_HTTPHEADER, $anew ? ['Cache-Control: no-cache'] : []);
        $least = INF;
        for ($i = 0; $i < $times; $i++) {
            $start = hrtime(true);
            $this->ask($path);
            $least = min($least, (hrtime(true) - $start) / 1e6);
        }

        return $least;
    }

    /** @return array<string, mixed> what a page shows */
    public function props(string $path): array
    {
        preg_match('~<script data-page="app" type="application/json">([^<]*)~', $this->ask($path), $found) ?:
        throw new RuntimeException("{$path} is no page");

        return json_decode($found[1], true, flags: JSON_THROW_ON_ERROR)['props'];
    }

    private function ask(string $path): string
    {
        curl_setopt($this->curl, CURLOPT_URL, $this->url . $path);
        $answer = (string) curl_exec($this->curl);
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        $status === 200 || throw new RuntimeException("{$path}: HTTP {$status}");

        return $answer;
    }
}
