<?php

declare(strict_types=1);

use React\EventLoop\Loop;
use React\Socket\SecureServer;
use React\Socket\TcpServer;
use Standin\Control\WorldPages;
use Standin\Directory\RdapPages;
use Standin\Directory\TextServer;
use Standin\Dns\DnsServer;
use Standin\Epp\EppServer;
use Standin\Http\HttpServer;
use Standin\Registry\Registrar;
use Standin\Registry\Registry;
use Standin\Settings;
use Standin\Store;
use Standin\Tls\Certificates;
use Standin\World;

// The simulated world: one process, which the supervisor keeps alive.
require __DIR__.'/../vendor/autoload.php';

$settings = Settings::fromEnvironment();
$world = new World(new Store("{$settings->folder}/world.sqlite"));
$dns = new DnsServer($world->store, $settings->dnsPort);
$hosts = [World::BOOTSTRAP_HOST, 'epp.skerry.example', ...array_filter(array_column(Registry::all(), 'rdap'), is_string(...)), ...array_column(Registrar::all(), 'rdap')];
$certificate = (new Certificates($settings->folder))->server(array_values($hosts));

$dns->listen();
(new HttpServer((new WorldPages($world, $dns, $settings))->answer(...)))->listen(new TcpServer("{$settings->address}:{$settings->pagePort}"));
(new HttpServer((new RdapPages($world))->answer(...)))->listen(new SecureServer(new TcpServer("127.0.0.1:{$settings->rdapPort}"), null, ['local_cert' => $certificate]));
(new EppServer($world, 'skerry'))->listen(new SecureServer(new TcpServer("127.0.0.1:{$settings->eppPort}"), null, ['local_cert' => $certificate]));
(new TextServer($world))->listen(new TcpServer("127.0.0.1:{$settings->textPort}"));
Loop::addPeriodicTimer(1.0, $world->pass(...));
fwrite(STDERR, "The world listens.\n");
Loop::run();
