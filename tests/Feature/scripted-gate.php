<?php

declare(strict_types=1);

use Acre\Wire\Epp\EppFraming;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\SecureServer;
use React\Socket\TcpServer;

// A gate that says what a test has recorded for it: `php scripted-gate.php certificate port script`, where script is JSON: a list of
// what is
// sent, first at once, then at each frame that comes. {client} in a text is the transaction id that was sent; each text is a frame;
// "close" closes the connection, "bytes 0a…" sends what is so written. What comes is told on stdout, a line of JSON a frame.
require __DIR__.'/../../vendor/autoload.php';

[, $certificate, $port, $script] = [...$argv, '', '', ''];
$turns = json_decode($script, true);
(new SecureServer(new TcpServer("127.0.0.1:{$port}"), null, ['local_cert' => $certificate]))->on('connection', function (
    ConnectionInterface $connection,
) use ($turns): void {
    $turn = 0;
    $send = function (string $client) use ($connection, $turns, &$turn): void {
        $all = is_array($turns) && is_array($turns[$turn] ?? null) ? $turns[$turn] : [];
        $turn++;
        foreach (array_filter($all, is_string(...)) as $one) {
            match (true) {
                $one === 'close' => $connection->end(),
                str_starts_with($one, 'bytes ') => $connection->write((string) hex2bin(substr($one, 6))),
                default => $connection->write(EppFraming::pack(str_replace('{client}', $client, $one))),
            };
        }
    };
    $send('');
    $framing = new EppFraming();
    $connection->on('data', function (string $bytes) use ($framing, $send): void {
        foreach ($framing->feed($bytes) as $document) {
            fwrite(STDOUT, json_encode($document)."\n");
            $send(preg_match('/<clTRID>([^<]*)/', $document, $found) === 1 ? $found[1] : '');
        }
    });
});
fwrite(STDOUT, "ready\n");
Loop::run();
