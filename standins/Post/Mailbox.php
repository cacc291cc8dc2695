<?php

declare(strict_types=1);

namespace Standin\Post;

use Acre\Wire\Json\JsonNode;

/** A mailbox of this world. One that nobody told of reads what it gets. */
final readonly class Mailbox
{
    /**
     * @param  string  $to  where it forwards; empty otherwise
     * @param  string|null  $password  with which it is fetched; null: nobody fetches it
     */
    public function __construct(public string $address, public Habit $habit, public string $to = '', public ?string $password = null)
    {
    }

    public static function of(JsonNode $node): self
    {
        return new self(
            strtolower($node->text('address')),
            Habit::from($node->textOrNull('habit') ?? Habit::Reads->value),
            $node->textOrNull('to') ?? '',
            $node->textOrNull('password'),
        );
    }

    public function json(): string
    {
        return json_encode(
            ['address' => $this->address, 'habit' => $this->habit->value, 'to' => $this->to, 'password' => $this->password],
            JSON_THROW_ON_ERROR,
        );
    }
}
