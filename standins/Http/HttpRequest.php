<?php

declare(strict_types=1);

namespace Standin\Http;

final readonly class HttpRequest
{
    /**
     * @param  string  $path  decoded, without what stands after a question mark
     * @param  array<string, string>  $headers  by name in small letters
     * @param  string  $peer  the asker's address
     */
    public function __construct(public string $method, public string $path, public array $headers, public string $body, public string $peer)
    {
    }

    /** The host that was asked for, without a port. */
    public function host(): string
    {
        return strtolower((string) preg_replace('/:\d+$/', '', $this->headers['host'] ?? ''));
    }

    /** @return array<string, string> what a form sent */
    public function form(): array
    {
        parse_str($this->body, $fields);

        return array_filter(array_combine(array_map(strval(...), array_keys($fields)), array_values($fields)), is_string(...));
    }
}
