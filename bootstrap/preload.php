<?php

declare(strict_types=1);

/*
 * Named by opcache.preload: what pages are made of is compiled and linked once, when PHP starts, not looked for and linked at each request.
 * A file that changes is seen after the next start. PHP names each class that it cannot link: one that builds on a package that is not here
 * has to be left out, for it may take others with it (tests/Browser/ServedTest.php).
 */
(static function (): void {
    $pages = [
        '(App|Carbon|Inertia|Psr)',
        'Dripel\Core',
        'Illuminate\(Auth|Bus|Cache|Config|Container|Contracts|Cookie|Database|Encryption|Events|Filesystem|Foundation|Hashing|Http)',
        'Illuminate\(Pagination|Pipeline|Queue|Routing|Session|Support|Translation|Validation|View)',
        'Laravel\Sanctum',
        'Symfony\(Contracts|Component\(Clock|HttpFoundation|Routing|HttpKernel(?=\Exception|\HttpKernelInterface|\TerminableInterface)))',
    ];
    $foreign = [
        '.*\(Commands|Console|DependencyInjection|Doctrine|Laravel|Loader|Log|MessageFormatter|Notifications|PHPStan|Promises|Test|Testing)\.*',
        'Carbon\(AbstractTranslator|CarbonPeriod|CarbonPeriodImmutable|Translator|TranslatorImmutable)',
        'Illuminate\Database\Eloquent\BroadcastableModelEventOccurred',
        'Illuminate\Foundation\(Http\HtmlDumper|LaravelCloudJsonFormatter)',
        'Illuminate\Validation\Concerns\FilterEmailValidation',
        'Symfony\Component\HttpFoundation\Session\Storage\Handler\IdentityMarshaller',
        'Symfony\Component\Routing\Matcher\ExpressionLanguageProvider',
    ];
    $any = fn(array $names): string => '(' . str_replace('\\', '\\\\', implode('|', $names)) . ')';
    $linked = "~^(?!{$any($foreign)}$){$any($pages)}\\\\~";
    foreach (require dirname(__DIR__) . '/vendor/composer/autoload_classmap.php' as $class => $file) {
        if (preg_match($linked, $class) === 1) {
            opcache_compile_file($file);
        }
    }
})();
