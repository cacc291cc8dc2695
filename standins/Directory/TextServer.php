<?php

declare(strict_types=1);

namespace Standin\Directory;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use React\Socket\ConnectionInterface;
use React\Socket\ServerInterface;
use Standin\Registry\Registered;
use Standin\Registry\Registrar;
use Standin\Registry\Registry;
use Standin\World;

/** The directory that answers the old way: a line is sent, a text comes back, the connection closes (RFC 3912). */
final readonly class TextServer
{
    private AskedOften $asked;

    public function __construct(private World $world)
    {
        $this->asked = new AskedOften();
    }

    public function listen(ServerInterface $server): void
    {
        $server->on('connection', function (ConnectionInterface $connection): void {
            $line = '';
            $connection->on('data', function (string $bytes) use ($connection, &$line): void {
                $line .= $bytes;
                if (str_contains($line, "\n") || strlen($line) > 1000) {
                    $connection->end(
                        str_replace(
                            "\n",
                            "\r\n",
                            $this->answer(
                                trim(substr($line, 0, 1000)),
                                (string) parse_url($connection->getRemoteAddress() ?? '', PHP_URL_HOST),
                            ),
                        ),
                    );
                }
            });
        });
    }

    private function answer(string $asked, string $peer): string
    {
        $head = "% A simulated registry. Nothing here is real.\n";
        try {
            $name = DomainName::of($asked)->ascii;
        } catch (NameError) {
            return "{$head}% Error: not a domain name\n";
        }
        $registry = Registry::for($name);
        if ($registry === null || $registry->rdap !== null) {
            return "{$head}% Error: not a name of this registry\n";
        }
        if ($this->asked->more($peer, $registry->aMinute) !== null) {
            return "{$head}% Error: too many questions, come back in a minute\n";
        }
        $found = $this->world->published($name);

        return $found === null ? "{$head}Domain: {$name}\nStatus: free\n" : $head.$this->text($found);
    }

    /** Such registries publish next to nothing of the holder, and no end. */
    private function text(Registered $name): string
    {
        $lines = ["Domain: {$name->name}"];
        foreach ($name->servers as $server) {
            $lines[] = "Nserver: {$server}";
        }
        $lines[] = 'Status: '.($name->isDelegated() ? 'connect' : 'failed');
        $lines[] = 'Registrar: '.Registrar::of($name->registrar)->name;
        $lines[] = 'Changed: '.gmdate('Y-m-d\TH:i:s\Z', $name->updated);

        return implode("\n", $lines)."\n";
    }
}
