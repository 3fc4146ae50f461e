<?php

declare(strict_types=1);

use App\Http\Middleware\AnswerKeptEntries;
use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\KeepPage;
use App\Http\Middleware\OnlyLiveSignIns;
use App\Http\Middleware\OnlyOurProxy;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SpeakLanguage;
use App\Http\Middleware\StartSession;
use App\Http\Problems;
use App\Support\TrustedHosts;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Middleware\ValidatePostSize;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Session\Middleware\StartSession as AnySession;
use Illuminate\View\Middleware\ShareErrorsFromSession;

// A trace names functions and lines; what they were given may be a secret.
ini_set('zend.exception_ignore_args', '1');

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__ . '/../routes/web.php',
        api: __DIR__ . '/../routes/api.php',
        apiPrefix: 'api/v1',
        commands: __DIR__ . '/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Looked at once there is a session, so that the page can say what was too large.
        $middleware->remove(ValidatePostSize::class);
        $middleware->web(
            append: [
                OnlyLiveSignIns::class,
                ValidatePostSize::class,
                SpeakLanguage::class,
                AnswerKeptEntries::class,
                HandleInertiaRequests::class,
            ],
            replace: [AnySession::class => StartSession::class],
        );
        $middleware->remove(TrustProxies::class);
        $middleware->prepend([SecurityHeaders::class, OnlyOurProxy::class]);
        $middleware->trustHosts(at: fn() => TrustedHosts::patterns(), subdomains: false);
        // Who was signed out elsewhere is a stranger before anything is looked up for them; who is not let in is slowed down as well.
        $middleware->priority([
            EncryptCookies::class,
            AddQueuedCookiesToResponse::class,
            AnySession::class,
            ShareErrorsFromSession::class,
            OnlyLiveSignIns::class,
            ThrottleRequests::class,
            AuthenticatesRequests::class,
            // Before anything asks for the workshop.
            KeepPage::class,
            SubstituteBindings::class,
            SpeakLanguage::class,
        ]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(Problems::register(...))
    ->create();
