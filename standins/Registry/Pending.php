<?php

declare(strict_types=1);

namespace Standin\Registry;

use Acre\Wire\Json\JsonNode;

/** Something that was asked for and waits for an answer. */
final readonly class Pending
{
    /**
     * @param  string  $to  an account's number, or a registrar
     * @param  int  $by  when time answers
     * @param  bool  $accepted  by the receiver, where the giving side has the last word
     * @param  string  $how  what time answers; of a transfer
     */
    public function __construct(
        public string $to,
        public int $asked,
        public int $by,
        public bool $accepted = false,
        public string $how = 'serverApproved',
    ) {
    }

    public static function of(?JsonNode $node): ?self
    {
        return $node === null
            ? null
            : new self(
                $node->text('to'),
                $node->intOrNull('asked') ?? 0,
                $node->intOrNull('by') ?? 0,
                $node->boolOrNull('accepted') ?? false,
                $node->textOrNull('how') ?? 'serverApproved',
            );
    }
}
