<?php

declare(strict_types=1);

namespace Standin\Registry;

use Acre\Wire\Json\JsonNode;

/** Who holds a name, as its registry has them. */
final readonly class Holder
{
    /**
     * @param  string  $code  with which another account takes the contact over; none: nobody does
     * @param  string|null  $disclose  what they wish to be shown (`1`) or not (`0`), and of what, by blanks
     */
    public function __construct(
        public string $handle,
        public string $name,
        public string $organisation,
        public string $street,
        public string $town,
        public string $region,
        public string $postcode,
        public string $country,
        public string $voice,
        public string $mailbox,
        public string $code = '',
        public ?string $disclose = null,
    ) {
    }

    public static function of(JsonNode $node): self
    {
        $text = fn (string $field): string => $node->textOrNull($field) ?? '';

        return new self(
            $text('handle'),
            $text('name'),
            $text('organisation'),
            $text('street'),
            $text('town'),
            $text('region'),
            $text('postcode'),
            $text('country'),
            $text('voice'),
            $text('mailbox'),
            $text('code'),
            $node->textOrNull('disclose'),
        );
    }
}
