<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Contact\TakesMail;
use Acre\Core\Name\DomainName;
use Acre\Wire\Dns\Data\Mx;
use Acre\Wire\Dns\Data\Txt;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;

/** From the root downwards, without a resolver between: what parent and child say themselves (RFC 1034 §5.3.3). */
final class AskedServers implements Dns
{
    public function __construct(
        private readonly Exchange $exchange,
        private readonly Lookup $lookup,
        private readonly AskedDelegation $delegation,
        private readonly AskedChange $change,
        private readonly int $atOnce,
    ) {
    }

    public function delegations(iterable $names, callable $told): void
    {
        $this->exchange->each($names, fn (DomainName $name) => $told($this->delegation->of($name->ascii)), $this->atOnce);
    }

    public function changes(iterable $wanted, callable $told): void
    {
        $this->exchange->each($wanted, fn (ChangeWanted $one) => $told($one, $this->change->of($one)), $this->atOnce);
    }

    public function zones(iterable $wanted, callable $told): void
    {
        $this->exchange->each($wanted, fn (ZoneWanted $one) => $told($one, $this->change->zone($one)), $this->atOnce);
    }

    public function addresses(iterable $hosts, callable $told): void
    {
        $this->exchange->each($hosts, fn (string $host) => $told($host, ...$this->lookup->addresses($host)), $this->atOnce);
    }

    public function records(iterable $asked, callable $told): void
    {
        $this->exchange->each($asked, fn (RecordsAsked $one) => $told($one, $this->change->says($one)), $this->atOnce);
    }

    public function texts(iterable $hosts, callable $told): void
    {
        $this->exchange->each($hosts, fn (string $host) => $told($host, $this->textsOf($host)), $this->atOnce);
    }

    public function mail(iterable $hosts, callable $told): void
    {
        $this->exchange->each($hosts, fn (DomainName $host) => $told($host, $this->takesMail($host->ascii)), $this->atOnce);
    }

    /** @return list<string>|null */
    private function textsOf(string $host): ?array
    {
        for ($step = 0; $step < Lookup::DEEP; $step++) {
            [$answer] = $this->lookup->walk($host, RecordType::TXT);
            $answer = $this->lookup->below($answer, $host, [], RecordType::TXT);
            if ($answer === null) {
                return null;
            }
            $texts = [];
            $alias = null;
            foreach ($answer->answers as $record) {
                if ($record->data instanceof Txt && $record->type === RecordType::TXT->value) {
                    $texts[] = $record->data->joined();
                } elseif ($record->type === RecordType::CNAME->value) {
                    $alias = Lookup::target($record);
                }
            }
            if ($texts !== [] || $alias === null) {
                return $texts;
            }
            $host = $alias;
        }

        return null;
    }

    private function takesMail(string $host): TakesMail
    {
        for ($step = 0; $step < Lookup::DEEP; $step++) {
            [$answer] = $this->lookup->walk($host, RecordType::MX);
            $answer = $this->lookup->below($answer, $host, [], RecordType::MX);
            if ($answer === null) {
                return TakesMail::Unknown;
            }
            $exchanges = $alias = null;
            foreach ($answer->answers as $record) {
                if ($record->data instanceof Mx) {
                    $exchanges[] = $record->data->host->host();
                } elseif ($record->type === RecordType::CNAME->value) {
                    $alias = Lookup::target($record);
                }
            }
            if ($exchanges !== null) {
                return array_filter($exchanges, fn (string $exchange): bool => $exchange !== '') === [] ? TakesMail::No : TakesMail::Yes;
            }
            if ($alias === null) {
                return $answer->code === ResponseCode::OK && $this->lookup->addresses($host)[0] !== [] ? TakesMail::Yes : TakesMail::No;
            }
            $host = $alias;
        }

        return TakesMail::Unknown;
    }
}
