<?php

declare(strict_types=1);

return (new PhpCsFixer\Config)
    ->setRiskyAllowed(true)
    ->setUnsupportedPhpVersionAllowed(true)
    ->setRules([
        '@PER-CS2.0' => true,
        'concat_space' => ['spacing' => 'none'],
        'declare_strict_types' => true,
        'fully_qualified_strict_types' => ['import_symbols' => true],
        'new_with_parentheses' => ['named_class' => false, 'anonymous_class' => false],
        'no_unused_imports' => true,
        'not_operator_with_successor_space' => true,
        'ordered_imports' => true,
        'single_quote' => true,
        'void_return' => false,
    ])
    ->setFinder(PhpCsFixer\Finder::create()->in([__DIR__.'/app', __DIR__.'/bench', __DIR__.'/config', __DIR__.'/core', __DIR__.'/database', __DIR__.'/lang', __DIR__.'/routes', __DIR__.'/tests'])->append([__DIR__.'/server.php', __DIR__.'/bootstrap/app.php']));
