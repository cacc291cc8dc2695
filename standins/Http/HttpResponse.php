<?php

declare(strict_types=1);

namespace Standin\Http;

final readonly class HttpResponse
{
    private const REASONS = [
        200 => 'OK',
        201 => 'Created',
        202 => 'Accepted',
        204 => 'No Content',
        301 => 'Moved Permanently',
        302 => 'Found',
        303 => 'See Other',
        307 => 'Temporary Redirect',
        308 => 'Permanent Redirect',
        400 => 'Bad Request',
        401 => 'Unauthorized',
        403 => 'Forbidden',
        404 => 'Not Found',
        405 => 'Method Not Allowed',
        409 => 'Conflict',
        413 => 'Content Too Large',
        422 => 'Unprocessable Content',
        429 => 'Too Many Requests',
        500 => 'Internal Server Error',
    ];

    /** @param  array<string, string>  $headers */
    public function __construct(public int $status, public string $type, public string $body, public array $headers = [])
    {
    }

    /** @param  array<array-key, mixed>  $value */
    public static function json(array $value, int $status = 200, string $type = 'application/json'): self
    {
        return new self($status, $type, json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE));
    }

    public function bytes(bool $keep): string
    {
        $head = sprintf(
            "HTTP/1.1 %d %s\r\nContent-Type: %s\r\nContent-Length: %d\r\nConnection: %s\r\n",
            $this->status,
            self::REASONS[$this->status] ?? 'Other',
            $this->type,
            strlen($this->body),
            $keep ? 'keep-alive' : 'close',
        );
        foreach ($this->headers as $name => $value) {
            $head .= "{$name}: {$value}\r\n";
        }

        return "{$head}\r\n{$this->body}";
    }
}
