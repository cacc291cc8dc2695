<?php

declare(strict_types=1);

use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\SecureServer;
use React\Socket\TcpServer;
use Standin\Http\HttpRequest;
use Standin\Http\HttpResponse;
use Standin\Http\HttpServer;

// Directories that say what a test has recorded for them: `php scripted.php certificate port port script`. The script is read anew
// at each question: {"https": {"host/path": [status, body as text, as JSON or behind "base64:", {header: value}]}, "text": {"name": text,
// null for silence}}. What is asked is told on stdout.
require __DIR__.'/../../vendor/autoload.php';

[, $certificate, $port, $textPort, $script] = [...$argv, '', '', '', ''];
$said = function (string $part, string $asked) use ($script): mixed {
    fwrite(STDOUT, "{$asked}\n");
    $all = json_decode((string) file_get_contents($script), true);
    $of = is_array($all) && is_array($all[$part] ?? null) ? $all[$part] : [];

    return $of[$asked] ?? null;
};
$answer = function (HttpRequest $request) use ($said): HttpResponse {
    [$status, $body, $told] = [...is_array($told = $said('https', $request->host().$request->path)) ? $told : [404], '', []];
    $headers = [];
    foreach (is_array($told) ? $told : [] as $name => $value) {
        $headers[(string) $name] = is_string($value) ? $value : '';
    }
    $body = is_string($body) ? $body : (string) json_encode($body);

    return new HttpResponse(
        is_int($status) ? $status : 500,
        'application/rdap+json',
        str_starts_with($body, 'base64:') ? (string) base64_decode(substr($body, 7), true) : $body,
        $headers,
    );
};
(new HttpServer($answer))->listen(new SecureServer(new TcpServer("127.0.0.1:{$port}"), null, ['local_cert' => $certificate]));
(new TcpServer("127.0.0.1:{$textPort}"))->on('connection', function (ConnectionInterface $connection) use ($said): void {
    $connection->on('data', function (string $bytes) use ($connection, $said): void {
        $text = $said('text', trim($bytes));
        if (is_string($text)) {
            $connection->end($text);
        }
    });
});
fwrite(STDOUT, "ready\n");
Loop::run();
