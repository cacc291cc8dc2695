<?php

declare(strict_types=1);

namespace Acre\Core\Delegation;

use Acre\Core\Dnssec\Delegate;
use Acre\Core\Dnssec\DelegatesBefore;
use Acre\Core\Dnssec\Key;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Name\DomainName;
use Acre\Core\Time\Instant;
use Acre\Core\Zone\Comparison;
use Acre\Core\Zone\Difference;
use Acre\Core\Zone\DifferenceKind;
use Acre\Core\Zone\Service;
use Acre\Core\Zone\ZoneCopy;

/** A name that is to get other name servers: whether they are ready for it, and what would be lost. */
final readonly class ServersChange
{
    /** Seconds for which what servers said is believed; the house's own choice. */
    public const FRESH = 3_600;

    /**
     * @param  ChangeSeen|null  $seen  null: nobody has asked
     * @param  list<ServersFinding>  $accepted  what is meant to happen
     * @param  DelegatesBefore|null  $gone  DS that the registry had before; null: it is not known to have had any
     * @param  bool  $isChecked  whether the registry takes only name servers that already answer for the name
     */
    public function __construct(
        private DomainName $name,
        private ServerSet $to,
        private ?ChangeSeen $seen,
        private Instant $now,
        private array $accepted = [],
        private ?DelegatesBefore $gone = null,
        private bool $isChecked = false,
    ) {
    }

    public function isAsked(): bool
    {
        return $this->seen !== null && ! $this->seen->at->plusSeconds(self::FRESH)->isBefore($this->now);
    }

    /** @return list<Finding> dearest first */
    public function findings(): array
    {
        $found = $this->to->findings($this->name);
        if ($this->seen === null || ! $this->isAsked()) {
            return Finding::dearestFirst([...$found, Finding::of(ServersFinding::NotAsked, Effect::NotKnown)]);
        }
        $found = [...$found, ...$this->servers($this->seen)];
        if ($this->seen->after !== null) {
            $found = [...$found, ...$this->losses(), ...$this->dnssec($this->seen)];
        }
        $network = self::network($this->seen);
        // Of addresses that were asked more is known than of those in a letter.
        $found = array_filter($found, fn (Finding $one): bool => $one->tag !== ServersFinding::OneNetwork);
        if ($network !== null) {
            $found[] = Finding::of(ServersFinding::OneNetwork, Effect::Worth, null, network: $network);
        }

        return Finding::dearestFirst(array_values($found));
    }

    /** What the two say differently; null: one of them was not read. */
    public function comparison(): ?Comparison
    {
        return $this->seen?->before === null || $this->seen->after === null
            ? null
            : Comparison::of(
                $this->seen->before->without(self::own($this->seen->before->zone)),
                $this->seen->after->without(self::own($this->seen->after->zone)),
            );
    }

    /**
     * What differs with the servers themselves, and is judged apart.
     *
     * @return list<string> hosts and types
     */
    private static function own(string $zone): array
    {
        return array_map(fn (string $type): string => "{$zone} {$type}", ['SOA', 'NS', 'DNSKEY', 'CDS', 'CDNSKEY']);
    }

    /** @return list<Finding> */
    private function servers(ChangeSeen $seen): array
    {
        $found = $answering = [];
        foreach ($seen->servers as $server) {
            if ($server->answer === Answer::Authoritative) {
                $answering[$server->host] = true;
            }
            if ($server->isAlias) {
                $found[$server->host] = Finding::of(ServersFinding::IsAlias, Effect::Stops, null, host: $server->host);
            }
            if (in_array($server->answer, [Answer::NoAddress, Answer::NotPublic, Answer::NobodyHolds], true)) {
                $found[$server->host] = Finding::of(ServersFinding::NoAddress, Effect::Stops, null, host: $server->host);
            }
        }
        if ($answering === []) {
            return [...array_values($found), Finding::of(ServersFinding::NobodyAnswers, Effect::Stops)];
        }
        foreach ($seen->servers as $server) {
            if ($server->answer !== Answer::Authoritative && $server->answer !== Answer::NotAsked) {
                $found[$server->host] ??= $this->isChecked
                    ? Finding::of(ServersFinding::RegistryRefuses, Effect::Stops, null, suffix: $this->name->suffix(), host: $server->host)
                    : $this->unlessMeant(
                        ServersFinding::OneDoesNotAnswer,
                        host: $server->host,
                        answer: $server->answer->value,
                    );
            }
        }

        return array_values($found);
    }

    /** @return list<Finding> */
    private function losses(): array
    {
        $comparison = $this->comparison();
        if ($comparison === null) {
            return [Finding::of(ServersFinding::NothingToCompare)];
        }
        $found = [];
        foreach ([DifferenceKind::Gone, DifferenceKind::Other] as $kind) {
            $isGone = $kind === DifferenceKind::Gone;
            foreach (Service::cases() as $service) {
                $lost = array_values(
                    array_filter(
                        $comparison->losses(),
                        fn (Difference $one): bool => $one->kind() === $kind && $one->service() === $service,
                    ),
                );
                if ($lost !== []) {
                    $found[] = $this->loss($service, $lost, $isGone);
                }
            }
        }

        return $found;
    }

    /** @param  non-empty-list<Difference>  $lost */
    private function loss(Service $service, array $lost, bool $isGone): Finding
    {
        $records = implode(', ', array_map(fn (Difference $one): string => $one->label(), $lost));
        [$was, $becomes] = [implode(', ', $lost[0]->before->data ?? []), implode(', ', $lost[0]->after->data ?? [])];

        return match (true) {
            $service === Service::Mail && $isGone => $this->unlessMeant(ServersFinding::LosesMail, records: $records),
            $service === Service::Mail => $this->unlessMeant(ServersFinding::MailElsewhere, was: $was, becomes: $becomes),
            $service === Service::Web && $isGone => $this->unlessMeant(ServersFinding::LosesWeb, records: $records),
            // The usual reason for moving.
            $service === Service::Web => Finding::of(ServersFinding::WebElsewhere, Effect::Worth, null, was: $was, becomes: $becomes),
            $service === Service::MailTrust => $this->unlessMeant(ServersFinding::LosesMailTrust, records: $records),
            $service === Service::Delegation => $this->unlessMeant(ServersFinding::LosesPart, records: $records),
            default => $this->unlessMeant(ServersFinding::LosesOther, records: $records),
        };
    }

    /** @return list<Finding> */
    private function dnssec(ChangeSeen $seen): array
    {
        $kept = $this->gone !== null && $this->now->isBefore($this->gone->keptUntil()) ? $this->gone : null;
        $isKept = $kept !== null && self::wants($kept->delegates);
        if ($seen->delegates === null || ($seen->keys === null && ($isKept || self::wants($seen->delegates)))) {
            return [Finding::of(ServersFinding::DnssecNotKnown, Effect::NotKnown)];
        }
        $keys = $seen->keys ?? [];

        return match (true) {
            // Resolvers that validate answer nothing at all (RFC 4035 §5).
            ! $this->isProved($seen->delegates, $keys) => [Finding::of(ServersFinding::BreaksDnssec, Effect::Stops)],
            $kept !== null && ! $this->isProved($kept->delegates, $keys) => [
                Finding::of(ServersFinding::DelegateKept, Effect::Stops, $kept->keptUntil(), gone: $kept->gone, until: $kept->keptUntil()),
            ],
            self::wants($seen->delegates) && self::isApart($seen) => [Finding::of(ServersFinding::KeysApart, Effect::Stops)],
            default => [],
        };
    }

    /**
     * Whether resolvers that read these want answers signed: a digest that nobody can compute counts as none (RFC 4035 §5.2).
     *
     * @param  list<Delegate>  $delegates
     */
    private static function wants(array $delegates): bool
    {
        return array_filter($delegates, fn (Delegate $one): bool => $one->isKnown()) !== [];
    }

    /**
     * @param  list<Delegate>  $delegates
     * @param  list<Key>  $keys
     */
    private function isProved(array $delegates, array $keys): bool
    {
        $owner = self::wire($this->name->ascii);
        foreach ($delegates as $delegate) {
            foreach ($keys as $key) {
                if ($delegate->isKnown() && $delegate->names($owner, $key)) {
                    return true;
                }
            }
        }

        return ! self::wants($delegates);
    }

    /**
     * Whether a resolver that kept the keys of one can't prove the answers of the other: both must have all keys of both while the change
     * is under way (RFC 6781 §4.3.5.1).
     */
    private static function isApart(ChangeSeen $seen): bool
    {
        [$here, $there] = [self::keySet($seen->before), self::keySet($seen->after)];

        return $here !== [] && $there !== [] && (array_diff($here, $there) !== [] || array_diff($there, $here) !== []);
    }

    /** @return list<string> */
    private static function keySet(?ZoneCopy $copy): array
    {
        return $copy === null ? [] : $copy->sets["{$copy->zone} DNSKEY"]->data ?? [];
    }

    private static function wire(string $name): string
    {
        return implode('', array_map(fn (string $label): string => chr(strlen($label)).$label, explode('.', $name)))."\0";
    }

    private static function network(ChangeSeen $seen): ?string
    {
        $addresses = array_map(fn (ServerSeen $server): ?string => $server->address, $seen->servers);

        return Networks::shared(array_values(array_filter($addresses, is_string(...))));
    }

    private function unlessMeant(ServersFinding $tag, string ...$with): Finding
    {
        return Finding::of($tag, in_array($tag, $this->accepted, true) ? Effect::Worth : Effect::Stops, null, ...$with);
    }
}
