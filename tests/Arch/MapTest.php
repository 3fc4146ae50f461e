<?php

declare(strict_types=1);

$root = dirname(__DIR__, 2);
$folders = fn(string $in): array => array_map(fn(string $path) => "{$in}/" . basename($path), glob("{$root}/{$in}/*", GLOB_ONLYDIR) ?: []);

it('has every folder of app and core on the map, and no other', function () use ($root, $folders): void {
    preg_match_all('/^\| `((?:app|core\/src)\/\w+)` \| \S/m', (string) file_get_contents("{$root}/CONTRIBUTING.md"), $named);
    expect($named[1])->toEqual([...$folders('app'), ...$folders('core/src')]);
});

it('says why in a title, a reason, what follows and what it costs, in every decision', function () use ($root): void {
    foreach (glob("{$root}/docs/decisions/*.md") ?: [] as $n => $path) {
        expect(basename($path))
            ->toStartWith(sprintf('%04d-', $n + 1))
            ->and((string) file_get_contents($path))
            ->toMatch('/^# .+\n\n.+\n[\s\S]*- Consequence: [\s\S]+- Price: /');
    }
});

it('pins every package that it names', function () use ($root): void {
    $php = json_decode((string) file_get_contents("{$root}/composer.json"), true);
    $js = json_decode((string) file_get_contents("{$root}/package.json"), true);
    foreach (
        array_filter($php['require'] + $php['require-dev'], fn(string $name) => str_contains($name, '/'), ARRAY_FILTER_USE_KEY) +
            $js['dependencies'] +
            $js['devDependencies']
        as $name => $version
    ) {
        expect($version)->toMatch('/^\d+\.\d+\.\d+$/', $name);
    }
});
