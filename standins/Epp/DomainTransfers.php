<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;
use Standin\Registry\EndHabit;
use Standin\Registry\Registered;
use Standin\World;

/** Transfers of a name (RFC 5731 §3.2.4). */
final readonly class DomainTransfers
{
    public function __construct(private World $world, private Account $account, private DomainGround $on)
    {
    }

    public function transfer(string $op, XmlNode $object): EppAnswer
    {
        $name = $this->on->known($object);
        $pending = $name->transfer;
        $now = $this->world->now();
        if ($op === 'query') {
            return $this->transferState($name);
        }
        if ($op === 'request') {
            if ($this->on->isOwn($name)) {
                throw EppRefusal::because(EppCode::NotTransferable, 'It is here already.');
            }
            if ($pending !== null) {
                throw EppRefusal::because(EppCode::TransferPending, 'A transfer is pending.');
            }
            $this->on->forbid($name, World::NO_TRANSFER);
            $code = $object->childOrNull(EppNamespace::Domain->value, 'authInfo')?->textOrNull(EppNamespace::Domain->value, 'pw');
            if ($name->code === null || $code === null || ! hash_equals($name->code, $code)) {
                throw EppRefusal::because(EppCode::InvalidAuthorization, 'The code is another, or there is none.');
            }
            if ($this->on->years($object, 1) !== 1) {
                throw EppRefusal::because(EppCode::ValueRange, 'A transfer adds one year.');
            }
            $charged = $this->on->charge('transfer', $this->world->prices->of('transfer', $name->name, $this->world->now()), $name->name);
            $this->world->beginTransfer($name, $this->account->number, $now);
            $this->world->change($name);

            return new EppAnswer(EppCode::Pending, $this->transferState($name)->data, $charged);
        }
        if ($pending === null) {
            throw EppRefusal::because(EppCode::NoTransferPending, 'No transfer is pending.');
        }
        $how = match ($op) {
            'approve' => 'clientApproved',
            'reject' => 'clientRejected',
            default => 'clientCancelled',
        };
        if (($op === 'cancel') !== ($pending->to === $this->account->number) || ($op !== 'cancel' && ! $this->on->isOwn($name))) {
            throw EppRefusal::because(EppCode::Authorization, 'That is the other side’s to say.');
        }
        $this->world->endTransfer($name, $how, $now);
        $this->world->change($name);

        return $this->transferState($name);
    }

    private function transferState(Registered $name): EppAnswer
    {
        $pending = $name->transfer;
        $last = $name->lastTransfer;
        $actor = $name->account ?? $name->registrar;
        if ($pending !== null) {
            return EppAnswer::done(
                fn (EppWriter $to) => DomainAnswers::transfer(
                    $to,
                    $name->name,
                    'pending',
                    $pending->to,
                    $pending->asked,
                    $actor,
                    $pending->by,
                    $name->ends === null ? null : EndHabit::yearAfter($name->ends),
                ),
            );
        }
        if ($last === null) {
            throw EppRefusal::because(EppCode::NoTransferPending, 'No transfer is known.');
        }

        return EppAnswer::done(
            fn (EppWriter $to) => DomainAnswers::transfer(
                $to,
                $name->name,
                $last->state,
                $last->to,
                $last->asked,
                $actor,
                $last->at,
                $name->ends,
            ),
        );
    }
}
