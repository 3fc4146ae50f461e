<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Middleware\KeepPage;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Pipeline\Pipeline;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use Inertia\Support\Header;
use stdClass;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * Pages as they come when each is asked for by itself, with what comes after it, all made within one request: what they have in common is
 * read and worked out once.
 */
final readonly class PagesTogether
{
    public function __construct(private Application $app, private Router $router) {}

    /** @return stdClass|null the page at an address of this site; null: it is not for whoever asks, or cannot be made */
    public function page(Request $asked, string $url): ?stdClass
    {
        $request = Request::create($asked->getSchemeAndHttpHost() . $url);
        $request->headers->set(Header::INERTIA, 'true');
        $request->setUserResolver($asked->getUserResolver());
        $request->setLaravelSession($asked->session());
        $this->app->instance('request', $request);
        try {
            $route = $this->router->getRoutes()->match($request);
            $request->setRouteResolver(fn() => $route);
            $answer = (new Pipeline($this->app))
                ->send($request)
                ->through($this->notYetPassed($asked, $route))
                ->then(fn(Request $request): Response => $this->whole($request, $route));

            $page = $answer instanceof JsonResponse ? $answer->getData() : null;

            return $page instanceof stdClass ? $page : null;
        } catch (Throwable $e) {
            // One that fails keeps no other back.
            report($e);

            return null;
        } finally {
            $this->app->instance('request', $asked);
        }
    }

    /** @return list<string> what stands before the page and not before the request that it is made in; nothing is kept of a part of it */
    private function notYetPassed(Request $asked, Route $route): array
    {
        $passed = $asked->route() instanceof Route ? $this->router->gatherRouteMiddleware($asked->route()) : [];

        return array_values(array_diff($this->router->gatherRouteMiddleware($route), $passed, [KeepPage::class]));
    }

    /** With what comes after it, as the browser would put it together. */
    private function whole(Request $request, Route $route): Response
    {
        $this->router->substituteBindings($route);
        $this->router->substituteImplicitBindings($route);
        $made = $route->run();
        $first = $this->router->prepareResponse($request, $made);
        $page = $first instanceof JsonResponse ? $first->getData() : null;
        if (!($page instanceof stdClass) || !isset($page->deferredProps)) {
            return $first;
        }
        $request->headers->set(Header::PARTIAL_COMPONENT, $page->component);
        $request->headers->set(Header::PARTIAL_ONLY, implode(',', array_merge(...array_values((array) $page->deferredProps))));
        $rest = $this->router->prepareResponse($request, $made);
        $later = $rest instanceof JsonResponse ? $rest->getData() : null;
        $page->props = (object) [...(array) $page->props, ...$later instanceof stdClass ? (array) $later->props : []];

        return $first->setData($page);
    }
}
