<?php

declare(strict_types=1);

namespace Standin\Http;

final readonly class HttpRequest
{
    /**
     * @param  string  $path  decoded, without what stands after a question mark
     * @param  string  $query  what stands after it, as it came
     * @param  array<string, string>  $headers  by name in small letters
     * @param  string  $peer  the asker's address
     */
    public function __construct(
        public string $method,
        public string $path,
        public string $query,
        public array $headers,
        public string $body,
        public string $peer,
    ) {
    }

    /** The host that was asked for, without a port. */
    public function host(): string
    {
        return strtolower((string) preg_replace('/:\d+$/', '', $this->headers['host'] ?? ''));
    }

    /** @return array<string, string> what a form sent */
    public function form(): array
    {
        return self::fields($this->body);
    }

    /** @return array<string, string> what its address asks for */
    public function asked(): array
    {
        return self::fields($this->query);
    }

    /** @return array<string, string> */
    private static function fields(string $said): array
    {
        parse_str($said, $fields);

        return array_filter(array_combine(array_map(strval(...), array_keys($fields)), array_values($fields)), is_string(...));
    }
}
