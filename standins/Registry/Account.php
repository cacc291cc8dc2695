<?php

declare(strict_types=1);

namespace Standin\Registry;

use Acre\Wire\Json\JsonNode;

/** A customer's account at a registrar. */
final class Account
{
    /**
     * @param  int  $balance  pence
     * @param  string  $handle  a public one that is not the login; empty: none
     */
    public function __construct(
        public readonly string $number,
        public readonly string $registrar,
        public readonly string $login,
        public readonly string $mailbox,
        public string $password,
        public int $balance,
        public readonly string $handle = '',
    ) {
    }

    public static function of(JsonNode $node): self
    {
        return new self(
            $node->text('number'),
            $node->text('registrar'),
            $node->text('login'),
            $node->textOrNull('mailbox') ?? '',
            $node->text('password'),
            $node->intOrNull('balance') ?? 0,
            $node->textOrNull('handle') ?? '',
        );
    }

    public function json(): string
    {
        return json_encode(get_object_vars($this), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
