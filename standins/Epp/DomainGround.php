<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Json\JsonNode;
use Acre\Wire\Xml\XmlNode;
use Closure;
use Standin\Registry\Account;
use Standin\Registry\Holder;
use Standin\Registry\Prices;
use Standin\Registry\Registered;
use Standin\Registry\Registry;
use Standin\World;

/** What every command of names stands on: whose the name is, what forbids it, what it costs, and what is said beside. */
final readonly class DomainGround
{
    public const YEARS_AHEAD = 10;

    public const PENDING = ['pendingCreate', 'pendingDelete', 'pendingRenew', 'pendingTransfer', 'pendingUpdate'];

    /** @param  list<XmlNode>  $extensions  of the command */
    public function __construct(private World $world, private Account $account, private array $extensions)
    {
    }

    public function known(XmlNode $object): Registered
    {
        $asked = strtolower($object->textOf(EppNamespace::Domain->value, 'name'));

        return $this->world->store->name($asked) ??
            throw self::isName($asked)
                ? EppRefusal::because(EppCode::DoesNotExist, "{$asked} is not registered.")
                : EppRefusal::because(EppCode::ValueSyntax, "{$asked} is not a name.");
    }

    /** Whether it is a name as a registry keeps it, in A-labels. */
    public static function isName(string $asked): bool
    {
        try {
            return DomainName::of($asked)->ascii === strtolower($asked);
        } catch (NameError) {
            return false;
        }
    }

    public function own(XmlNode $object): Registered
    {
        $name = $this->known($object);

        if (! $this->isOwn($name)) {
            throw EppRefusal::because(EppCode::Authorization, "{$name->name} does not lie in this account.");
        }

        return $this->world->refuses($name->name) ? throw EppRefusal::because(EppCode::Policy, 'We do not do that for this name.') : $name;
    }

    public function isOwn(Registered $name): bool
    {
        return $name->account === $this->account->number && $name->registrar === $this->account->registrar;
    }

    /** @param  list<string>  $statuses */
    public function forbid(Registered $name, array $statuses): void
    {
        $held = array_values(array_intersect($statuses, $name->statuses));
        if ($held !== []) {
            throw EppRefusal::because(EppCode::StatusProhibits, "It carries {$held[0]}.");
        }
    }

    /**
     * RFC 8748 §5.2: whoever says what it may cost is refused where it costs more, and told what was charged.
     *
     * @param  'create'|'renew'|'transfer'|'update'  $command  an update is one that restores
     * @return (Closure(EppWriter): mixed)|null what the answer says of it
     */
    public function charge(string $command, int $pence, string $name): ?Closure
    {
        $agreed = $this->extension(EppNamespace::Fee, $command);
        $fee = EppNamespace::Fee->value;
        if (
            $agreed !== null &&
            (($agreed->textOrNull($fee, 'currency') ?? Prices::CURRENCY) !== Prices::CURRENCY ||
                (int) round(100 * array_sum(array_map(floatval(...), $agreed->texts($fee, 'fee')))) < $pence)
        ) {
            throw EppRefusal::because(EppCode::ValueRange, 'It costs '.Prices::written($pence).' '.Prices::CURRENCY.'.');
        }
        $kind = ['create' => 'add', 'renew' => 'renew', 'transfer' => 'transfer', 'update' => 'restore'][$command];
        if (! $this->world->till->take($this->account, $pence, $kind, $name, $this->world->now())) {
            throw EppRefusal::because(
                EppCode::Billing,
                'The account holds too little: '.Prices::written($this->account->balance).' of '.Prices::written($pence).'.',
            );
        }
        $data = ['create' => 'creData', 'renew' => 'renData', 'transfer' => 'trnData', 'update' => 'updData'][$command];

        return $agreed === null
            ? null
            : fn (EppWriter $to) => $to->object(
                EppNamespace::Fee,
                $data,
                fn (EppWriter $to) => $to
                    ->text('fee:currency', Prices::CURRENCY)
                    ->text('fee:fee', Prices::written($pence))
                    ->text('fee:balance', Prices::written($this->account->balance)),
            );
    }

    public function years(XmlNode $object, int $otherwise): int
    {
        $period = $object->childOrNull(EppNamespace::Domain->value, 'period');
        if ($period === null) {
            return $otherwise;
        }
        $years = preg_match('/^\d{1,2}$/D', $period->text()) === 1 ? (int) $period->text() : 0;
        if ($period->attribute('unit') !== 'y' || $years < 1 || $years > self::YEARS_AHEAD) {
            throw EppRefusal::because(EppCode::ValueRange, 'One to ten years.');
        }

        return $years;
    }

    public function holder(string $contact): Holder
    {
        [, $body] =
            $this->world->store->contact($contact) ?? throw EppRefusal::because(EppCode::DoesNotExist, "There is no contact {$contact}.");

        return Holder::of(JsonNode::read($body, 20_000));
    }

    /** What the RFCs leave to a server and this one doesn't keep is refused, and not passed over (RFC 5910 §4 and §5.2 name the codes). */
    public function takes(?XmlNode ...$parts): void
    {
        $domain = EppNamespace::Domain->value;
        foreach ($parts as $part) {
            if ($part?->childOrNull($domain, 'contact') !== null) {
                throw EppRefusal::because(EppCode::UnimplementedOption, 'Of a name’s contacts only the registrant is kept here.');
            }
            if ($part?->childOrNull($domain, 'ns')?->childOrNull($domain, 'hostAttr') !== null) {
                throw EppRefusal::because(EppCode::UnimplementedOption, 'Name servers are hosts of their own here.');
            }
        }
        $keys = $this->extension(EppNamespace::SecDns, 'create') ?? $this->extension(EppNamespace::SecDns, 'update');
        $dns = EppNamespace::SecDns->value;
        if (in_array($keys?->attribute('urgent'), ['1', 'true'], true)) {
            throw EppRefusal::because(EppCode::UnimplementedOption, 'Nothing is more urgent here than anything else.');
        }
        foreach ($keys === null ? [] : ($keys->name() === 'create' ? [$keys] : $keys->all()) as $part) {
            if ($part->childOrNull($dns, 'maxSigLife') !== null) {
                throw EppRefusal::because(EppCode::UnimplementedOption, 'How long signatures last is not chosen here.');
            }
            if ($part->childOrNull($dns, 'keyData') !== null) {
                throw EppRefusal::because(EppCode::Policy, 'Keys are told by their digests here.');
            }
        }
    }

    /** @return list<string> */
    public function servers(?XmlNode $ns): array
    {
        $servers = array_map(strtolower(...), $ns?->texts(EppNamespace::Domain->value, 'hostObj') ?? []);
        foreach ($servers as $server) {
            if (! $this->world->store->hosts->knows($server)) {
                throw EppRefusal::because(EppCode::DoesNotExist, "There is no host {$server}.");
            }
        }

        return $servers;
    }

    /** @return list<array{int, int, int, string}> */
    public function ds(?XmlNode $part): array
    {
        $dns = EppNamespace::SecDns->value;

        return array_map(
            fn (XmlNode $ds): array => [
                (int) $ds->textOf($dns, 'keyTag'),
                (int) $ds->textOf($dns, 'alg'),
                (int) $ds->textOf($dns, 'digestType'),
                strtoupper($ds->textOf($dns, 'digest')),
            ],
            $part?->children($dns, 'dsData') ?? [],
        );
    }

    public function extension(EppNamespace $namespace, string $name): ?XmlNode
    {
        foreach ($this->extensions as $extension) {
            if ($extension->is($namespace->value, $name)) {
                return $extension;
            }
        }

        return null;
    }
}
