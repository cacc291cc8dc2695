<?php

declare(strict_types=1);

namespace Acre\Core\Transfer;

use Acre\Core\Contact\TakesMail;

/** Whoever must say yes to a transfer: the registrant, at gTLDs alone since 2025 (ICANN Registration Data Policy). */
final readonly class Approver
{
    /**
     * @param  string|null  $mailbox  null: not known
     * @param  bool|null  $isForwarder  whether it only passes letters on, so that nobody can answer from it; null: not known
     * @param  bool  $isInside  whether it lies in the name itself
     * @param  bool  $isReplaced  whether the public record shows another's data in its place, which may swallow letters
     */
    public function __construct(
        public ?string $mailbox,
        public TakesMail $takesMail = TakesMail::Unknown,
        public ?bool $isForwarder = null,
        public bool $isInside = false,
        public bool $isReplaced = false,
    ) {
    }
}
