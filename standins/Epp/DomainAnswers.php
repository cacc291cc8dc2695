<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Standin\Registry\Registered;

/** What is written of a name (RFC 5731 §3.1.2 and §3.1.3, RFC 3915 §4.1.2, RFC 5910 §5.1.2). */
final class DomainAnswers
{
    /** @param  bool  $whole  to its own account; a stranger is told less */
    public static function info(EppWriter $to, Registered $name, bool $whole, bool $withServers = true): void
    {
        $to->beginObject(EppNamespace::Domain, 'infData')
            ->text('domain:name', $name->name)
            ->text('domain:roid', strtoupper(substr(hash('sha256', $name->name), 0, 12)).'-ROLL');
        foreach ($name->standing() as $status) {
            $to->sign('domain:status', ['s' => $status]);
        }
        if ($whole && $name->holder->handle !== '') {
            $to->text('domain:registrant', $name->holder->handle);
        }
        if ($withServers && $name->servers !== []) {
            $to->begin('domain:ns')->texts('domain:hostObj', $name->servers)->end();
        }
        $to->text('domain:clID', $name->account ?? $name->registrar)
            ->text('domain:crDate', self::at($name->created))
            ->text('domain:upDate', self::at($name->updated));
        if ($name->ends !== null) {
            $to->text('domain:exDate', self::at($name->ends));
        }
        if ($name->moved !== null) {
            $to->text('domain:trDate', self::at($name->moved));
        }
        if ($whole && $name->code !== null) {
            $to->begin('domain:authInfo')->text('domain:pw', $name->code)->end();
        }
        $to->end();
    }

    public static function infoExtension(EppWriter $to, Registered $name, bool $whole): void
    {
        $grace = $name->grace();
        if ($grace !== []) {
            $to->beginObject(EppNamespace::Grace, 'infData');
            foreach ($grace as $status) {
                $to->sign('rgp:rgpStatus', ['s' => $status]);
            }
            $to->end();
        }
        if ($name->ds !== []) {
            $to->beginObject(EppNamespace::SecDns, 'infData');
            foreach ($name->ds as [$tag, $algorithm, $type, $digest]) {
                $to->begin('secDNS:dsData')
                    ->text('secDNS:keyTag', (string) $tag)
                    ->text('secDNS:alg', (string) $algorithm)
                    ->text('secDNS:digestType', (string) $type)
                    ->text('secDNS:digest', $digest)
                    ->end();
            }
            $to->end();
        }
        if ($whole) {
            $to->beginObject(EppNamespace::Account, 'infData')
                ->text('account:number', $name->account ?? '')
                ->text('account:autoRenew', $name->autoRenew ? '1' : '0');
            $to->begin('account:disclose')->texts('account:field', $name->shown)->end();
            if ($name->handover !== null) {
                $to->begin('account:handover')
                    ->text('account:to', $name->handover->to)
                    ->text('account:asked', self::at($name->handover->asked))
                    ->text('account:by', self::at($name->handover->by))
                    ->end();
            }
            $to->end();
        }
    }

    public static function transfer(
        EppWriter $to,
        string $name,
        string $state,
        string $asker,
        int $asked,
        string $actor,
        int $at,
        ?int $ends,
    ): void {
        $to->object(EppNamespace::Domain, 'trnData', function (EppWriter $to) use (
            $name,
            $state,
            $asker,
            $asked,
            $actor,
            $at,
            $ends,
        ): void {
            $to->text('domain:name', $name)
                ->text('domain:trStatus', $state)
                ->text('domain:reID', $asker)
                ->text('domain:reDate', self::at($asked))
                ->text('domain:acID', $actor)
                ->text('domain:acDate', self::at($at));
            if ($ends !== null) {
                $to->text('domain:exDate', self::at($ends));
            }
        });
    }

    public static function at(int $epoch): string
    {
        return gmdate('Y-m-d\TH:i:s.0\Z', $epoch);
    }
}
