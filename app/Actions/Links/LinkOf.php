<?php

declare(strict_types=1);

namespace App\Actions\Links;

use App\Models\Ask;
use App\Models\Confirmation;
use App\Models\Docket;

/** What a link in a letter is about: a docket in one version, one side's word on it, a mailbox, what a client is asked,
 * or somebody of the house. */
final readonly class LinkOf
{
    /** @param  array<string, int|null>  $columns */
    private function __construct(public array $columns, public string $key)
    {
    }

    public static function docket(Docket $docket): self
    {
        return new self(['docket_id' => $docket->id, 'docket_version' => $docket->version], 'docket_id');
    }

    public static function confirmation(Confirmation $confirmation, Docket $docket): self
    {
        return new self(
            ['docket_id' => $docket->id, 'docket_version' => $docket->version, 'confirmation_id' => $confirmation->id],
            'confirmation_id',
        );
    }

    public static function user(int $userId): self
    {
        return new self(['user_id' => $userId], 'user_id');
    }

    public static function ask(Ask $ask): self
    {
        return new self(['ask_id' => $ask->id], 'ask_id');
    }

    public static function mailbox(int $mailboxId): self
    {
        return new self(['mailbox_id' => $mailboxId], 'mailbox_id');
    }
}
