<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Core\Contact\TakesMail;
use Acre\Core\Delegation\Answer;
use Acre\Core\Delegation\DelegationSeen;
use Acre\Core\Delegation\ServerSeen;
use Acre\Core\Name\DomainName;
use Acre\Wire\Dns\Data\A;
use Acre\Wire\Dns\Data\Aaaa;
use Acre\Wire\Dns\Data\Host;
use Acre\Wire\Dns\Data\Mx;
use Acre\Wire\Dns\Data\Soa;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;
use App\Outside\Reach\Hosts;

/** From the root downwards, without a resolver between: what parent and child say themselves (RFC 1034 §5.3.3). */
final class AskedServers implements Dns
{
    /** RFC 1035 §3.4.1, RFC 3596 §2.1. */
    private const ADDRESSES = [RecordType::A, RecordType::AAAA];

    /** Steps from the root, and aliases, after which something goes round in circles. */
    private const DEEP = 10;

    /** Zones and hosts that are remembered. */
    private const REMEMBERED = 5_000;

    /** @var array<string, list<string>> addresses of the servers of zones that names lie under */
    private array $zones = [];

    /** @var array<string, array{list<string>, bool}> addresses of hosts, and whether one is an alias */
    private array $hosts = [];

    /**
     * @param  list<string>  $roots  addresses
     * @param  bool  $dialsSix  whether this machine reaches IPv6; addresses of it are looked for either way
     */
    public function __construct(
        private readonly Exchange $exchange,
        private readonly Hosts $reach,
        array $roots,
        private readonly int $atOnce,
        private readonly bool $dialsSix,
    ) {
        $this->zones[''] = $roots;
    }

    public function delegations(iterable $names, callable $told): void
    {
        $this->exchange->each($names, fn (DomainName $name) => $told($this->delegation($name->ascii)), $this->atOnce);
    }

    public function mail(iterable $hosts, callable $told): void
    {
        $this->exchange->each($hosts, fn (DomainName $host) => $told($host, $this->takesMail($host->ascii)), $this->atOnce);
    }

    private function takesMail(string $host): TakesMail
    {
        for ($step = 0; $step < self::DEEP; $step++) {
            [$answer] = $this->walk($host, RecordType::MX);
            $answer = $this->below($answer, $host, [], RecordType::MX);
            if ($answer === null) {
                return TakesMail::Unknown;
            }
            $exchanges = $alias = null;
            foreach ($answer->answers as $record) {
                if ($record->data instanceof Mx) {
                    $exchanges[] = $record->data->host->host();
                } elseif ($record->type === RecordType::CNAME->value) {
                    $alias = self::target($record);
                }
            }
            if ($exchanges !== null) {
                return array_filter($exchanges, fn (string $exchange): bool => $exchange !== '') === [] ? TakesMail::No : TakesMail::Yes;
            }
            if ($alias === null) {
                return $answer->code === ResponseCode::OK && $this->addresses($host)[0] !== [] ? TakesMail::Yes : TakesMail::No;
            }
            $host = $alias;
        }

        return TakesMail::Unknown;
    }

    private function delegation(string $name): DelegationSeen
    {
        [$answer, $from] = $this->walk($name, RecordType::NS);
        if ($answer === null) {
            return new DelegationSeen($name, null, null, null, [], "no server of {$from} answered");
        }
        $records = array_values(
            array_filter(
                [...$answer->authority, ...$answer->answers],
                fn (Record $record): bool => $record->type === RecordType::NS->value && $record->name->host() === $name,
            ),
        );
        if ($records === []) {
            return new DelegationSeen($name, [], null, false, []);
        }
        $hosts = array_values(array_unique(array_map(self::target(...), $records)));
        $places = [];
        foreach ($hosts as $host) {
            $glue = self::glue($answer, $host);
            [$addresses, $isAlias] = $glue === [] ? $this->addresses($host) : [$glue, false];
            foreach ($addresses === [] ? [null] : $addresses as $address) {
                $places[] = [$host, $address, $isAlias];
            }
        }

        return new DelegationSeen($name, $hosts, $records[0]->ttl, ...$this->asked($name, $places, $this->zones[$from] ?? []));
    }

    /**
     * @param  list<array{string, string|null, bool}>  $places
     * @param  list<string>  $parents  addresses of the parent's servers
     * @return array{signed: bool|null, servers: list<ServerSeen>}
     */
    private function asked(string $name, array $places, array $parents): array
    {
        $questions = [];
        foreach ($places as $place => [, $address]) {
            $dialled = $address === null ? null : $this->dialled($address);
            if ($dialled !== null) {
                $questions["soa{$place}"] = [$dialled, self::question($name, RecordType::SOA)];
                $questions["ns{$place}"] = [$dialled, self::question($name, RecordType::NS)];
            }
        }
        $parent = array_values(array_filter(array_map($this->dialled(...), $parents), is_string(...)))[0] ?? null;
        if ($parent !== null) {
            $questions['ds'] = [$parent, self::question($name, RecordType::DS)];
        }
        $answers = $this->exchange->ask($questions);
        $ds = $answers['ds'] ?? null;
        $servers = [];
        foreach ($places as $place => [$host, $address, $isAlias]) {
            $servers[] = match (true) {
                $address === null => new ServerSeen($host, null, Answer::NoAddress, isAlias: $isAlias),
                ! isset($questions["soa{$place}"]) => new ServerSeen(
                    $host,
                    $address,
                    $this->reach->nameServer($address) === null ? Answer::NotPublic : Answer::NotAsked,
                    isAlias: $isAlias,
                ),
                default => self::server($host, $address, $isAlias, $answers["soa{$place}"] ?? null, $answers["ns{$place}"] ?? null),
            };
        }

        return [
            'signed' => $ds === null || $ds->code !== ResponseCode::OK
                    ? null
                    : array_filter($ds->answers, fn (Record $record): bool => $record->type === RecordType::DS->value) !== [],
            'servers' => $servers,
        ];
    }

    private static function server(string $host, string $address, bool $isAlias, ?Message $soa, ?Message $ns): ServerSeen
    {
        if ($soa === null) {
            return new ServerSeen($host, $address, Answer::Silent, isAlias: $isAlias);
        }
        $serial = null;
        foreach ($soa->answers as $record) {
            if ($record->data instanceof Soa) {
                $serial = $record->data->serial;
            }
        }
        $answer = match (true) {
            $soa->code === ResponseCode::REFUSED => Answer::Refused,
            $soa->code === ResponseCode::NO_SUCH_NAME => Answer::NoSuchName,
            $soa->code !== ResponseCode::OK => Answer::Fails,
            ! $soa->isAuthoritative || $serial === null => Answer::Lame,
            default => Answer::Authoritative,
        };
        $servers = array_map(
            self::target(...),
            array_values(array_filter($ns->answers ?? [], fn (Record $record): bool => $record->type === RecordType::NS->value)),
        );
        sort($servers);

        return new ServerSeen($host, $address, $answer, $serial, $servers, $isAlias);
    }

    /**
     * Down from the deepest zone that is known, until somebody refers to the name itself, answers, or says that there is none.
     *
     * @param  list<string>  $within  hosts whose addresses are being looked for, so that none is needed to find itself
     * @return array{Message|null, string} the answer, and the zone whose servers gave it
     */
    private function walk(string $name, RecordType $type, array $within = []): array
    {
        $zone = $name;
        do {
            $zone = str_contains($zone, '.') ? substr((string) strstr($zone, '.'), 1) : '';
        } while (! isset($this->zones[$zone]));
        $servers = $this->zones[$zone];
        for ($step = 0; $step < self::DEEP; $step++) {
            $answer = $this->first($servers, $name, $type);
            if ($answer === null) {
                break;
            }
            $next = null;
            foreach ($answer->authority as $record) {
                $cut = $record->name->host();
                if (
                    $record->type === RecordType::NS->value &&
                    $cut !== $name &&
                    strlen($cut) > strlen($zone) &&
                    str_ends_with(".{$name}", ".{$cut}")
                ) {
                    $next = $cut;
                }
            }
            if ($next === null) {
                return [$answer, $zone];
            }
            $servers = $this->zones[$next] ?? $this->serversOf($answer, $next, $within);
            $zone = $next;
            $this->forget();
            $this->zones[$zone] = $servers;
        }

        return [null, $zone === '' ? 'the root' : ".{$zone}"];
    }

    /**
     * @param  list<string>  $within
     * @return list<string>
     */
    private function serversOf(Message $referral, string $zone, array $within): array
    {
        $addresses = [];
        foreach ($referral->authority as $record) {
            if ($record->type === RecordType::NS->value && $record->name->host() === $zone) {
                $host = self::target($record);
                $glue = self::glue($referral, $host);
                // A host inside the very zone can be found by its glue only.
                array_push(
                    $addresses,
                    ...$glue === [] && ! str_ends_with(".{$host}", ".{$zone}") ? $this->addresses($host, $within)[0] : $glue,
                );
            }
        }

        return $addresses;
    }

    /**
     * @param  list<string>  $within
     * @return array{list<string>, bool} addresses, and whether the host is an alias
     */
    private function addresses(string $host, array $within = []): array
    {
        if (isset($this->hosts[$host]) || in_array($host, $within, true)) {
            return $this->hosts[$host] ?? [[], false];
        }
        $within[] = $host;
        $asked = $host;
        $found = [];
        for ($step = 0; $step < self::DEEP; $step++) {
            $alias = null;
            foreach (self::ADDRESSES as $type) {
                [$answer] = $this->walk($asked, $type, $within);
                foreach ($this->below($answer, $asked, $within, $type)->answers ?? [] as $record) {
                    if ($record->type === $type->value && ($record->data instanceof A || $record->data instanceof Aaaa)) {
                        $found[] = $record->data->address;
                    } elseif ($record->type === RecordType::CNAME->value) {
                        $alias = self::target($record);
                    }
                }
            }
            if ($found !== [] || $alias === null) {
                return $this->hosts[$host] = [$found, $alias !== null || $asked !== $host];
            }
            $asked = $alias;
        }

        return $this->hosts[$host] = [[], true];
    }

    /**
     * A host that is a zone of its own is asked for at that zone's servers.
     *
     * @param  list<string>  $within
     */
    private function below(?Message $answer, string $host, array $within, RecordType $type): ?Message
    {
        if ($answer === null || $answer->answers !== []) {
            return $answer;
        }
        foreach ($answer->authority as $record) {
            if ($record->type === RecordType::NS->value && $record->name->host() === $host) {
                return $this->first($this->serversOf($answer, $host, $within), $host, $type);
            }
        }

        return $answer;
    }

    /**
     * The first server's answer that is one; the others are asked when it has none.
     *
     * @param  list<string>  $addresses
     */
    private function first(array $addresses, string $name, RecordType $type): ?Message
    {
        foreach ($addresses as $address) {
            $dialled = $this->dialled($address);
            $answer = $dialled === null ? null : $this->exchange->ask(['it' => [$dialled, self::question($name, $type)]])['it'];
            if ($answer !== null && in_array($answer->code, [ResponseCode::OK, ResponseCode::NO_SUCH_NAME], true)) {
                return $answer;
            }
        }

        return null;
    }

    /** Null: nobody outside has it, or this machine can't reach it. */
    private function dialled(string $address): ?string
    {
        return str_contains($address, ':') && ! $this->dialsSix ? null : $this->reach->nameServer($address);
    }

    private function forget(): void
    {
        if (count($this->hosts) > self::REMEMBERED) {
            $this->hosts = [];
        }
        if (count($this->zones) > self::REMEMBERED) {
            $this->zones = ['' => $this->zones['']];
        }
    }

    /** @return list<string> */
    private static function glue(Message $message, string $host): array
    {
        $found = [];
        foreach ($message->additional as $record) {
            if (($record->data instanceof A || $record->data instanceof Aaaa) && $record->name->host() === $host) {
                $found[] = $record->data->address;
            }
        }

        return $found;
    }

    private static function question(string $host, RecordType $type): Question
    {
        return new Question(Name::ofHost($host), $type->value);
    }

    private static function target(Record $record): string
    {
        return $record->data instanceof Host ? $record->data->host->host() : '';
    }
}
