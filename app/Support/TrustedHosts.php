<?php

declare(strict_types=1);

namespace App\Support;

/** The names under which this installation is asked. A page that gave itself another name would act in ours. */
final class TrustedHosts
{
    /** @return list<string> regular expressions */
    public static function patterns(): array
    {
        $urls = array_filter([config()->string('app.url'), Reach::lan()]);
        $hosts = ['127.0.0.1', 'localhost', '::1', ...array_map(fn(string $url) => (string) parse_url($url, PHP_URL_HOST), $urls)];

        return array_map(
            fn(string $host) => '^\\[?' . preg_quote($host) . '\\]?$',
            array_values(array_unique([...$hosts, ...config()->array('dripel.hosts')])),
        );
    }
}
