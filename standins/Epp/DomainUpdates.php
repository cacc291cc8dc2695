<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlNode;
use Closure;
use Standin\Registry\Account;
use Standin\Registry\Registered;
use Standin\World;

/** Changes of a name (RFC 5731 §3.2.5), with restoring (RFC 3915), keys (RFC 5910) and what our own extension says. */
final readonly class DomainUpdates
{
    private const CLIENT_STATUSES = [
        'clientHold',
        'clientTransferProhibited',
        'clientUpdateProhibited',
        'clientRenewProhibited',
        'clientDeleteProhibited',
    ];

    /** @param  bool  $isReviewed  whether the registrar's people have looked at it */
    public function __construct(private World $world, private Account $account, private DomainGround $on, private bool $isReviewed)
    {
    }

    public function update(XmlNode $object): EppAnswer
    {
        $domain = EppNamespace::Domain->value;
        $name = $this->on->own($object);
        $restore = $this->on->extension(EppNamespace::Grace, 'update')?->child(EppNamespace::Grace->value, 'restore');
        if ($restore !== null) {
            return $this->restore($name, $restore);
        }
        $own = $this->on->extension(EppNamespace::Account, 'update');
        $handover = $own?->childOrNull(EppNamespace::Account->value, 'handover');
        if ($handover !== null) {
            return $this->handOver($name, $handover);
        }
        [$add, $remove, $change] = [
            $object->childOrNull($domain, 'add'),
            $object->childOrNull($domain, 'rem'),
            $object->childOrNull($domain, 'chg'),
        ];
        $this->on->takes($add, $remove);
        [$new, $gone] = [$this->statuses($add), $this->statuses($remove)];
        $isKept = $add === null && $change === null && $this->on->extension(EppNamespace::SecDns, 'update') === null;
        // That status itself can be lifted, and nothing else with it (RFC 5731 §2.3); what the registrar alone knows is no update of the
        // name.
        $isFreed =
            $isKept &&
            ($remove === null ? $own !== null : $gone === ['clientUpdateProhibited'] && count($remove->all()) === 1 && $own === null);
        $this->on->forbid($name, [
            ...$isFreed ? [] : ['clientUpdateProhibited'],
            ...$isFreed && $own !== null ? [] : ['serverUpdateProhibited'],
            ...DomainGround::PENDING,
        ]);
        if (
            $add === null &&
            $remove === null &&
            $change === null &&
            $own === null &&
            $this->on->extension(EppNamespace::SecDns, 'update') === null
        ) {
            throw EppRefusal::because(EppCode::MissingParameter, 'Nothing is to be changed.');
        }
        foreach ($new as $status) {
            if ($name->has($status)) {
                throw EppRefusal::because(EppCode::Policy, "It carries {$status} already.");
            }
        }
        foreach ($gone as $status) {
            if (! $name->has($status)) {
                throw EppRefusal::because(EppCode::Policy, "It does not carry {$status}.");
            }
        }
        if (! $this->isReviewed && PutOff::isFor($this->world, $name->name)) {
            $name->change(['ok'], ['pendingUpdate']);
            $this->world->change($name);

            return new EppAnswer(EppCode::Pending, putOff: $name->name);
        }
        $name->change([...$gone, 'ok'], $new);
        $servers = array_values(
            array_unique([
                ...array_diff($name->servers, $this->on->servers($remove?->childOrNull($domain, 'ns'))),
                ...$this->on->servers($add?->childOrNull($domain, 'ns')),
            ]),
        );
        if (count($servers) > 13) {
            throw EppRefusal::because(EppCode::Policy, 'Thirteen name servers at most.');
        }
        $name->servers = $servers;
        if ($change?->textOrNull($domain, 'registrant') !== null) {
            $name->holder = $this->on->holder($change->textOf($domain, 'registrant'));
        }
        $code = $change?->childOrNull($domain, 'authInfo');
        $name->code = $code === null ? $name->code : $code->textOrNull($domain, 'pw');
        $autoRenew = $own?->textOrNull(EppNamespace::Account->value, 'autoRenew');
        $name->autoRenew = $autoRenew === null ? $name->autoRenew : in_array($autoRenew, ['1', 'true'], true);
        $disclose = $own?->childOrNull(EppNamespace::Account->value, 'disclose');
        $name->shown = $disclose === null ? $name->shown : $disclose->texts(EppNamespace::Account->value, 'field');
        $this->changeDs($name);
        $this->world->change($name);

        return EppAnswer::done();
    }

    /** RFC 3915 §4.2.5: the request, which is paid, and then the report, without which it goes back into redemption. */
    private function restore(Registered $name, XmlNode $restore): EppAnswer
    {
        if ($restore->attribute('op') === 'report') {
            return $this->report($name, $restore->childOrNull(EppNamespace::Grace->value, 'report'));
        }
        if (! $name->has('redemptionPeriod')) {
            throw EppRefusal::because(EppCode::StatusProhibits, 'It is not in redemption.');
        }
        $charged = $this->on->charge('update', $this->world->prices->of('restore', $name->name, $this->world->now()), $name->name);
        $name->change(['redemptionPeriod'], ['pendingRestore']);
        $name->stage = $this->world->now();
        $this->world->change($name);

        return $this->graceTold($name, $charged);
    }

    private function report(Registered $name, ?XmlNode $report): EppAnswer
    {
        if (! $name->has('pendingRestore')) {
            throw EppRefusal::because(EppCode::StatusProhibits, 'No report is awaited.');
        }
        $grace = EppNamespace::Grace->value;
        $said = fn (string $part): bool => trim($report?->childOrNull($grace, $part)?->text() ?? '') !== '';
        foreach (['preData', 'postData', 'delTime', 'resTime', 'resReason'] as $part) {
            if (! $said($part)) {
                throw EppRefusal::because(EppCode::MissingParameter, "The report says nothing of {$part}.");
            }
        }
        if (count($report?->children($grace, 'statement') ?? []) < 2) {
            throw EppRefusal::because(EppCode::MissingParameter, 'The report makes two statements.');
        }
        $name->restore($this->world->now());
        $this->world->change($name);

        return $this->graceTold($name, null);
    }

    /** @param  (Closure(EppWriter): mixed)|null  $charged */
    private function graceTold(Registered $name, ?Closure $charged): EppAnswer
    {
        return $name->grace() === []
            ? EppAnswer::done(null, $charged)
            : EppAnswer::done(null, function (EppWriter $to) use ($name, $charged): void {
                $to->object(EppNamespace::Grace, 'upData', fn (EppWriter $to) => $to->sign('rgp:rgpStatus', ['s' => $name->grace()[0]]));
                if ($charged !== null) {
                    $charged($to);
                }
            });
    }

    private function handOver(Registered $name, XmlNode $handover): EppAnswer
    {
        $own = EppNamespace::Account->value;
        $now = $this->world->now();
        $op = $handover->attribute('op');
        if ($op === 'cancel') {
            if ($name->handover === null) {
                throw EppRefusal::because(EppCode::StatusProhibits, 'No handover is pending.');
            }
            $this->world->endHandover($name, 'cancelled', $now);
            $this->world->change($name);

            return EppAnswer::done();
        }
        if ($name->handover !== null) {
            throw EppRefusal::because(EppCode::StatusProhibits, "A handover to {$name->handover->to} is pending.");
        }
        $this->on->forbid($name, ['clientTransferProhibited', ...DomainGround::PENDING]);
        $to = $this->world->store->account($handover->textOf($own, 'number'));
        // Number and login together name an account, so that one mistyped character gives nothing away.
        if ($to === null || $to->registrar !== $this->account->registrar || $to->login !== $handover->textOf($own, 'login')) {
            throw EppRefusal::because(EppCode::Policy, 'There is no account with that number and that login.');
        }
        if ($to->number === $this->account->number) {
            throw EppRefusal::because(EppCode::Policy, 'It lies in that account already.');
        }
        $this->world->offer($name, $this->account, $to);
        $this->world->change($name);

        return new EppAnswer(EppCode::Pending);
    }

    /** @return list<string> */
    private function statuses(?XmlNode $part): array
    {
        $statuses = array_map(
            fn (XmlNode $status): string => $status->attribute('s') ?? '',
            $part?->children(EppNamespace::Domain->value, 'status') ?? [],
        );
        foreach ($statuses as $status) {
            if (! in_array($status, self::CLIENT_STATUSES, true)) {
                throw EppRefusal::because(
                    str_starts_with($status, 'server') || str_starts_with($status, 'pending') || $status === 'ok'
                        ? EppCode::Policy
                        : EppCode::ValueSyntax,
                    "{$status} is not a client’s to set.",
                );
            }
        }

        return $statuses;
    }

    /** RFC 5910 §5.2.5: what goes first, then what comes. */
    private function changeDs(Registered $name): void
    {
        $update = $this->on->extension(EppNamespace::SecDns, 'update');
        $dns = EppNamespace::SecDns->value;
        $remove = $update?->childOrNull($dns, 'rem');
        if ($remove?->textOrNull($dns, 'all') !== null && in_array($remove->textOf($dns, 'all'), ['1', 'true'], true)) {
            $name->ds = [];
        }
        $gone = $this->on->ds($remove);
        $name->ds = [
            ...array_values(array_filter($name->ds, fn (array $ds): bool => ! in_array($ds, $gone, true))),
            ...$this->on->ds($update?->childOrNull($dns, 'add')),
        ];
    }
}
