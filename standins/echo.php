<?php

declare(strict_types=1);

use Acre\Wire\Epp\EppFraming;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\SecureServer;
use React\Socket\TcpServer;
use Standin\Settings;

// Frames come back as they came, over the same TLS as the gate's: what `./acre bench` holds a command of EPP against.
require __DIR__.'/../vendor/autoload.php';

$certificates = glob(Settings::fromEnvironment()->folder.'/server-*.pem');
$server = new SecureServer(new TcpServer('127.0.0.1:'.($argv[1] ?? '0'), null, ['tcp_nodelay' => true]), null, ['local_cert' => $certificates === false ? '' : $certificates[0] ?? '']);
$server->on('connection', function (ConnectionInterface $connection): void {
    $framing = new EppFraming;
    $connection->on('data', function (string $bytes) use ($connection, $framing): void {
        foreach ($framing->feed($bytes) as $document) {
            $connection->write(EppFraming::pack($document));
        }
    });
});
fwrite(STDOUT, "ready\n");
Loop::run();
