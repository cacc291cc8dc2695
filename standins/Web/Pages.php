<?php

declare(strict_types=1);

namespace Standin\Web;

use Acre\Wire\Json\JsonNode;
use Standin\StoreFile;

/** What the world's web servers say of hosts, where it was said. */
final readonly class Pages
{
    public function __construct(private StoreFile $file)
    {
    }

    public function put(string $host, JsonNode $told): void
    {
        $this->file->write(
            'INSERT INTO pages VALUES (?, ?) ON CONFLICT (host) DO UPDATE SET body = excluded.body',
            $host,
            json_encode(Page::of($host, $told), JSON_THROW_ON_ERROR),
        );
    }

    public function of(string $host): Page
    {
        $body = $this->file->text('SELECT body FROM pages WHERE host = ?', $host);

        return $body === null ? Page::usual($host) : Page::of($host, JsonNode::read($body, 1_000_000));
    }
}
