<?php

declare(strict_types=1);

use Acre\Wire\Epp\EppFraming;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Json\JsonNode;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\SecureServer;
use React\Socket\TcpServer;
use Standin\Epp\DomainAnswers;
use Standin\Epp\EppAnswer;
use Standin\Epp\EppSession;
use Standin\Epp\OpenSessions;
use Standin\Registry\Registered;
use Standin\Settings;
use Standin\Store;
use Standin\World;

// What `./acre bench` holds a command of EPP against, over the same TLS as the gate's. Frames come back as they came; with
// `ready`, a gate that doesn't work for its answers: a greeting, and then to whatever it is told the same, with its id.
require __DIR__.'/../vendor/autoload.php';

$certificates = glob(Settings::fromEnvironment()->folder.'/server-*.pem');
$server = new SecureServer(new TcpServer('127.0.0.1:'.($argv[1] ?? '0'), null, ['tcp_nodelay' => true]), null, [
    'local_cert' => $certificates === false ? '' : $certificates[0] ?? '',
]);
$greeting = $answer = null;
if (($argv[2] ?? '') === 'ready') {
    $greeting = (new EppSession(new World(new Store(':memory:')), 'ready', new OpenSessions()))->greeting();
    $name = Registered::of(
        JsonNode::read(
            '{"name": "ready.example", "registrar": "ready", "account": "1", "created": 1604275200, "ends": 1825113600, "updated": 0, '
                .'"statuses": ["clientTransferProhibited"], "servers": ["ns1.ready.example", "ns2.ready.example"], "shown": '
                .'["organisation"], "holder": {"handle": "R-1"}, "autoRenew": true}',
            10_000,
        ),
    );
    $answer = EppAnswer::done(
        fn (EppWriter $to) => DomainAnswers::info($to, $name, true),
        fn (EppWriter $to) => DomainAnswers::infoExtension($to, $name, true),
    )->document('@', 'READY-1');
}
$server->on('connection', function (ConnectionInterface $connection) use ($greeting, $answer): void {
    $framing = new EppFraming();
    if ($greeting !== null) {
        $connection->write(EppFraming::pack($greeting));
    }
    $connection->on('data', function (string $bytes) use ($connection, $framing, $answer): void {
        foreach ($framing->feed($bytes) as $document) {
            $id = preg_match('/<clTRID>([^<]*)/', $document, $found) === 1 ? $found[1] : '';
            $connection->write(EppFraming::pack($answer === null ? $document : str_replace('<clTRID>@<', "<clTRID>{$id}<", $answer)));
        }
    });
});
fwrite(STDOUT, "ready\n");
Loop::run();
