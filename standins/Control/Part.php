<?php

declare(strict_types=1);

namespace Standin\Control;

use Standin\Epp\PutOff;
use Standin\Registry\Registered;
use Standin\World;

/** What another party can be made to do with a name. */
enum Part: string
{
    case Servers = 'servers';
    case Moved = 'moved';
    case Hold = 'hold';
    case NoHold = 'no-hold';
    case Lock = 'lock';
    case NoLock = 'no-lock';
    case Transfer = 'transfer';
    case AnswersQuickly = 'answers-quickly';
    case AnswersNo = 'answers-no';
    case AnswersByLetter = 'answers-by-letter';
    case Approves = 'approves';
    case Rejects = 'rejects';
    case Tag = 'tag';
    case End = 'end';
    case Deleted = 'deleted';
    case Validated = 'validated';
    case NotValidated = 'not-validated';
    case Accepts = 'accepts';
    case Refuses = 'refuses';
    case RegistrarRefuses = 'registrar-refuses';
    case RegistrarAgrees = 'registrar-agrees';
    case RegistrarReviews = 'registrar-reviews';
    case ReviewPasses = 'review-passes';
    case ReviewFails = 'review-fails';

    public function words(): string
    {
        return match ($this) {
            self::Servers => 'somebody changes its name servers',
            self::Moved => 'it goes to another registrar',
            self::Hold => 'the registry places a hold on it',
            self::NoHold => 'the registry lifts its hold',
            self::Lock => 'its registrar sets the transfer lock',
            self::NoLock => 'its registrar lifts the transfer lock',
            self::Transfer => 'somebody starts a transfer, if it isn’t locked',
            self::AnswersQuickly => 'its registrar approves a transfer within the hour',
            self::AnswersNo => 'its registrar refuses a transfer within the hour',
            self::AnswersByLetter => 'its registrar asks its holder by letter about a transfer',
            self::Approves => 'its registrar approves the transfer',
            self::Rejects => 'its registrar refuses the transfer',
            self::Tag => 'its registrar sets another registrar’s tag',
            self::End => 'its end becomes another day',
            self::Deleted => 'its registrar deletes it',
            self::Validated => 'the registry validates its holder',
            self::NotValidated => 'the registry doubts its holder',
            self::Accepts => 'the receiver accepts the handover',
            self::Refuses => 'the receiver refuses the handover',
            self::RegistrarRefuses => 'its registrar refuses whatever is commanded of it',
            self::RegistrarAgrees => 'its registrar takes commands of it again',
            self::RegistrarReviews => 'its registrar looks at each update of it first',
            self::ReviewPasses => 'what its registrar looked at is carried out',
            self::ReviewFails => 'what its registrar looked at is not carried out',
        };
    }

    public function play(Registered $name, string $with, World $world): void
    {
        $now = $world->now();
        match ($this) {
            self::Servers => ($name->servers = array_values(
                array_filter(explode(' ', strtolower(strtr($with, ',', ' '))), fn (string $host): bool => $host !== ''),
            )),
            self::Moved => ([$name->registrar, $name->moved, $name->reseller] = [$with === '' ? 'farshore' : $with, $now, null]),
            self::Hold => $name->change(['ok'], ['serverHold', 'serverTransferProhibited']),
            self::NoHold => $name->change(['serverHold', 'serverTransferProhibited'], []),
            self::Lock => $name->change(['ok'], ['clientTransferProhibited']),
            self::NoLock => $name->change(['clientTransferProhibited'], []),
            self::Transfer => $world->beginTransfer($name, $with === '' ? 'farshore' : $with, $now),
            self::AnswersQuickly => $world->store->tell("answers {$name->name}", 'quickly'),
            self::AnswersNo => $world->store->tell("answers {$name->name}", 'no'),
            self::AnswersByLetter => $world->store->tell("answers {$name->name}", 'by letter'),
            self::Approves => $world->endTransfer($name, 'clientApproved', $now),
            self::Rejects => $world->endTransfer($name, 'clientRejected', $now),
            self::Tag => $world->tag($name, $with, $now),
            self::End => ($name->ends = self::day($with) ?? $name->ends),
            self::Deleted => $name->delete($now),
            self::Validated => ($name->validated = true),
            self::NotValidated => ($name->validated = false),
            self::Accepts => $world->endHandover($name, 'accepted', $now),
            self::Refuses => $world->endHandover($name, 'refused', $now),
            self::RegistrarRefuses => $world->store->tell("refused {$name->name}", 'yes'),
            self::RegistrarAgrees => self::agrees($name->name, $world),
            self::RegistrarReviews => $world->store->tell("reviewed {$name->name}", 'yes'),
            self::ReviewPasses, self::ReviewFails => null,
        };
        $world->change($name);
        if ($this === self::ReviewPasses || $this === self::ReviewFails) {
            (new PutOff($world))->decide($name->name, $this === self::ReviewPasses);
        }
    }

    private static function agrees(string $name, World $world): void
    {
        $world->store->tell("refused {$name}", 'no');
        $world->store->tell("reviewed {$name}", 'no');
    }

    private static function day(string $date): ?int
    {
        $epoch = strtotime("{$date} UTC");

        return $epoch === false ? null : $epoch;
    }
}
