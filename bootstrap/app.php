<?php

declare(strict_types=1);

use App\Http\LogRefused;
use App\Http\Middleware\CleanStrings;
use App\Http\Middleware\CsrfToken;
use App\Http\Middleware\OwnReferer;
use App\Http\Middleware\SecurityHeaders;
use App\Http\OldInput;
use App\Outside\Reach\NotReached;
use App\Support\ChangedMeanwhile;
use App\Support\Outage;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->prepend(SecurityHeaders::class);
        $middleware->prepend(OwnReferer::class);
        $middleware->append(CleanStrings::class);
        $middleware->web(replace: [ValidateCsrfToken::class => CsrfToken::class]);
        $middleware->redirectGuestsTo(fn (Request $request): string => route('sign-in'));
        $middleware->redirectUsersTo(fn (Request $request): string => route('rounds'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->render(function (AccessDeniedHttpException $e, Request $request): null {
            app(LogRefused::class)->handle($request);

            return null;
        });
        $exceptions->render(fn (PDOException $e, Request $request) => Outage::is($e)
            ? response()->view('errors.outage', ['again' => $request->isMethod('get')], 503)->header('Retry-After', '5') : null);
        $exceptions->render(fn (ValidationException $e, Request $request) => $request->expectsJson() || $e->response !== null ? null
            : redirect($e->redirectTo ?? url()->previous())->withInput(OldInput::of($request))->withErrors($e->errors(), $e->errorBag));
        $exceptions->dontReport([AuthorizationException::class, ChangedMeanwhile::class, NotReached::class]);
    })
    ->create();
