<?php

declare(strict_types=1);

namespace App\Models;

use Acre\Core\Time\Instant;
use App\Models\Casts\AsInstant;
use Illuminate\Database\Eloquent\Model;

/**
 * A letter, and what became of it. Where its body says `{link}`, the link stands only in what is sent.
 *
 * @property int $id
 * @property string $kind `morning`, `alarm`, `acceptance`, `confirmation`, `verification` or `yearly`
 * @property int|null $user_id who of the house it is to; null: somebody outside
 * @property int|null $docket_id that it is about
 * @property int|null $confirmation_id that it asks for
 * @property int|null $mailbox_id that it asks to be verified
 * @property string $mailbox
 * @property string $subject
 * @property string $body
 * @property Instant $written_on
 * @property LetterState $state
 * @property string|null $message_id
 * @property int $attempts
 * @property int $doubts how often its fate was not known
 * @property string|null $answer what the post said of it last
 * @property int|null $secret_id the link, until it was sent
 */
final class Letter extends Model
{
    public const LINK = '{link}';

    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    protected $attributes = [
        'user_id' => null,
        'docket_id' => null,
        'confirmation_id' => null,
        'mailbox_id' => null,
        'state' => 'waiting',
        'message_id' => null,
        'attempts' => 0,
        'doubts' => 0,
        'answer' => null,
        'secret_id' => null,
    ];

    protected $casts = ['written_on' => AsInstant::class, 'state' => LetterState::class];
}
