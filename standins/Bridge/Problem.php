<?php

declare(strict_types=1);

namespace Standin\Bridge;

use RuntimeException;
use Standin\Http\HttpResponse;

/** Why a request was not taken, as the contract says it (RFC 9457). */
final class Problem extends RuntimeException
{
    public function __construct(public readonly int $status, public readonly string $title)
    {
        parent::__construct($title);
    }

    public function response(): HttpResponse
    {
        return HttpResponse::json(['title' => $this->title, 'status' => $this->status], $this->status, 'application/problem+json');
    }
}
