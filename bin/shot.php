<?php

declare(strict_types=1);

// Takes the pictures of docs/screenshots from the demo; run by ./acre shot.
// With arguments it takes throwaway ones instead: ./acre shot PATH FILE [WIDTH [HEIGHT]] …

use Tests\Browser\Window;

require __DIR__.'/../vendor/autoload.php';

$arguments = array_slice($argv, 1);
[$width, $height] = [(int) ($arguments[2] ?? 1280), (int) ($arguments[3] ?? 800)];
$window = Window::open($width, $height);
if (($arguments[0] ?? '') !== '/sign-in') {
    $window->signIn('odile@harrow-tern.example', 'a tern over the sound');
}
$window->go($arguments[0] ?? '/roll')->picture($arguments[1] ?? 'docs/screenshots/roll.png');
$window->close();
