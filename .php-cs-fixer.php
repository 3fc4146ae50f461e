<?php

declare(strict_types=1);

// What is written; how it is laid out is Prettier's.
return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setUnsupportedPhpVersionAllowed(true)
    ->setRules([
        'declare_strict_types' => true,
        'fully_qualified_strict_types' => ['import_symbols' => true],
        'no_unused_imports' => true,
        'ordered_imports' => true,
    ])
    ->setFinder(
        PhpCsFixer\Finder::create()
            ->in([
                __DIR__ . '/app',
                __DIR__ . '/bench',
                __DIR__ . '/config',
                __DIR__ . '/core',
                __DIR__ . '/database',
                __DIR__ . '/lang',
                __DIR__ . '/routes',
                __DIR__ . '/tests',
            ])
            ->append([__DIR__ . '/server.php', __DIR__ . '/bootstrap/app.php']),
    );
