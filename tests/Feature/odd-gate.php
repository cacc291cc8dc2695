<?php

declare(strict_types=1);

use Acre\Wire\Epp\EppFraming;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\SecureServer;
use React\Socket\TcpServer;

// A gate that answers by what it is asked: `php odd-gate.php certificate port script`, where script is a file of JSON that is read anew
// with every
// frame: `greeting`, `otherwise` (the answer to what no rule matches), `rules` (a part of a frame => its answers; none: silence), and
// `queue`
// (messages that are polled, the first until it is acknowledged). {client} is the id that was sent, {count} how many messages wait.
require __DIR__.'/../../vendor/autoload.php';

[, $certificate, $port, $file] = [...$argv, '', '', ''];
$read = function () use ($file): array {
    $script = json_decode((string) file_get_contents($file), true);

    return is_array($script) ? $script : [];
};
$answers = function (string $document) use ($read, $file): array {
    $script = $read();
    $queue = is_array($script['queue'] ?? null) ? $script['queue'] : [];
    if (str_contains($document, '<poll') && $queue !== []) {
        if (str_contains($document, 'op="ack"')) {
            array_shift($queue);
            file_put_contents($file, json_encode(['queue' => $queue] + $script));

            return [$script['otherwise'] ?? ''];
        }

        return [str_replace('{count}', (string) count($queue), is_string($queue[0]) ? $queue[0] : '')];
    }
    foreach (is_array($script['rules'] ?? null) ? $script['rules'] : [] as $part => $said) {
        if (str_contains($document, (string) $part)) {
            return is_array($said) ? $said : [];
        }
    }

    return [str_contains($document, '<poll') ? $script['empty'] ?? '' : $script['otherwise'] ?? ''];
};
(new SecureServer(new TcpServer("127.0.0.1:{$port}"), null, ['local_cert' => $certificate]))->on('connection', function (
    ConnectionInterface $connection,
) use ($read, $answers): void {
    $greeting = $read()['greeting'] ?? '';
    $connection->write(EppFraming::pack(is_string($greeting) ? $greeting : ''));
    $framing = new EppFraming();
    $connection->on('data', function (string $bytes) use ($connection, $framing, $answers): void {
        foreach ($framing->feed($bytes) as $document) {
            fwrite(STDOUT, json_encode($document)."\n");
            $client = preg_match('/<clTRID>([^<]*)/', $document, $found) === 1 ? $found[1] : '';
            foreach ($answers($document) as $one) {
                $connection->write(EppFraming::pack(str_replace('{client}', $client, is_string($one) ? $one : '')));
            }
        }
    });
});
fwrite(STDOUT, "ready\n");
Loop::run();
