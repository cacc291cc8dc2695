<?php

declare(strict_types=1);

namespace App\Outside\Dns;

use Acre\Wire\Dns\Data\A;
use Acre\Wire\Dns\Data\Aaaa;
use Acre\Wire\Dns\Data\Host;
use Acre\Wire\Dns\Message;
use Acre\Wire\Dns\Name;
use Acre\Wire\Dns\Question;
use Acre\Wire\Dns\Record;
use Acre\Wire\Dns\RecordType;
use Acre\Wire\Dns\ResponseCode;
use App\Outside\Reach\Hosts;

/** The way from the root down to whoever answers, without a resolver between (RFC 1034 §5.3.3). Used inside `Exchange::each`. */
final class Lookup
{
    /** RFC 1035 §3.4.1, RFC 3596 §2.1. */
    private const ADDRESSES = [RecordType::A, RecordType::AAAA];

    /** Steps from the root, and aliases, after which something goes round in circles. */
    public const DEEP = 10;

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
        private readonly bool $dialsSix,
    ) {
        $this->zones[''] = $roots;
    }

    /** @return list<string> addresses of the servers of a zone that was walked to */
    public function serversAbove(string $zone): array
    {
        return $this->zones[$zone] ?? [];
    }

    /**
     * Down from the deepest zone that is known, until somebody refers to the name itself, answers, or says that there is none.
     *
     * @param  list<string>  $within  hosts whose addresses are being looked for, so that none is needed to find itself
     * @return array{Message|null, string} the answer, and the zone whose servers gave it
     */
    public function walk(string $name, RecordType $type, array $within = []): array
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
    public function addresses(string $host, array $within = []): array
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

    /** @return list<string>|null what one server says itself; null: nothing */
    public function addressesAt(string $dialled, string $host): ?array
    {
        $found = null;
        foreach (self::ADDRESSES as $type) {
            $answer = $this->exchange->ask(['it' => [$dialled, self::question($host, $type)]])['it'];
            if ($answer?->code !== ResponseCode::OK) {
                continue;
            }
            $found ??= [];
            foreach ($answer->answers as $record) {
                if ($record->data instanceof A || $record->data instanceof Aaaa) {
                    $found[] = $record->data->address;
                }
            }
        }

        return $found;
    }

    /**
     * A host that is a zone of its own is asked for at that zone's servers.
     *
     * @param  list<string>  $within
     */
    public function below(?Message $answer, string $host, array $within, RecordType $type): ?Message
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
    public function dialled(string $address): ?string
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
    public static function glue(Message $message, string $host): array
    {
        $found = [];
        foreach ($message->additional as $record) {
            if (($record->data instanceof A || $record->data instanceof Aaaa) && $record->name->host() === $host) {
                $found[] = $record->data->address;
            }
        }

        return $found;
    }

    public static function question(string $host, RecordType $type): Question
    {
        return new Question(Name::ofHost($host), $type->value);
    }

    public static function target(Record $record): string
    {
        return $record->data instanceof Host ? $record->data->host->host() : '';
    }
}
