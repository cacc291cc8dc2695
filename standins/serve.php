<?php

declare(strict_types=1);

use React\EventLoop\Loop;
use React\Socket\TcpServer;
use Standin\Bridge\BridgePages;
use Standin\Control\Place;
use Standin\Control\Weather;
use Standin\Control\WorldPages;
use Standin\Directory\RdapPages;
use Standin\Directory\TextServer;
use Standin\Dns\DnsServer;
use Standin\Epp\EppServer;
use Standin\Http\HttpServer;
use Standin\Post\PopServer;
use Standin\Post\SmtpServer;
use Standin\Registry\Registrar;
use Standin\Registry\Registry;
use Standin\Settings;
use Standin\Store;
use Standin\Tls\Certificates;
use Standin\Tls\Door;
use Standin\Web\WebServer;
use Standin\World;

// The simulated world: one process, which the supervisor keeps alive.
require __DIR__.'/../vendor/autoload.php';

$settings = Settings::fromEnvironment();
// An answer leaves in the turn of the loop after the one that gave it; what it told is recorded in the next.
$store = new Store("{$settings->folder}/world.sqlite", fn (Closure $write) => Loop::futureTick(fn () => Loop::futureTick($write)));
$world = new World($store, "http://{$settings->address}:{$settings->pagePort}");
$dns = new DnsServer($store, $world->clock, $settings->dnsPort);
$hosts = [
    World::BOOTSTRAP_HOST,
    'epp.skerry.example',
    'epp.lantern.example',
    'bridge.oriel-names.example',
    'post.example',
    'mailboxes.example',
    ...array_filter(array_column(Registry::all(), 'rdap'), is_string(...)),
    ...array_column(Registrar::all(), 'rdap'),
];
$certificates = new Certificates($settings->folder);
$certificate = $certificates->server(array_values($hosts));
$foreign = $certificates->foreign();
$door = fn (int $port, Place $place, Closure $served) => Door::open(
    "127.0.0.1:{$port}",
    $certificate,
    $foreign,
    fn (): bool => Weather::isForeign($store, $place),
    $served,
);
$weather = fn (Place $place): Closure => fn (): Weather => Weather::now($store, $place);

$dns->listen();
(new WebServer($store, $world->clock, $certificates, $settings))->listen();
(new HttpServer((new WorldPages($world, $dns, $settings))->answer(...)))->listen(
    new TcpServer("{$settings->address}:{$settings->pagePort}"),
);
$door(
    $settings->rdapPort,
    Place::Directories,
    (new HttpServer((new RdapPages($world))->answer(...), $weather(Place::Directories)))->listen(...),
);
$door($settings->eppPort, Place::Gate, (new EppServer($world, 'skerry', $settings->frameSeconds))->listen(...));
$door($settings->lanternPort, Place::Gate, (new EppServer($world, 'lantern', $settings->frameSeconds))->listen(...));
$door($settings->postPort, Place::Post, (new SmtpServer($world, $world->post))->listen(...));
$door($settings->popPort, Place::Post, (new PopServer($world, $world->post))->listen(...));
$door(
    $settings->bridgePort,
    Place::Bridge,
    (new HttpServer((new BridgePages($world, 'oriel'))->answer(...), $weather(Place::Bridge)))->listen(...),
);
(new TextServer($world))->listen(new TcpServer("127.0.0.1:{$settings->textPort}"));
Loop::addPeriodicTimer(1.0, $world->pass(...));
Loop::addPeriodicTimer(1.0, $store->writeDown(...));
fwrite(STDERR, "The world listens.\n");
Loop::run();
