<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;
use Standin\Registry\Registry;
use Standin\World;

/** Hosts that names are answered by (RFC 5732). */
final readonly class HostCommands
{
    public function __construct(private World $world, private Account $account)
    {
    }

    public function carryOut(XmlNode $verb, XmlNode $object): EppAnswer
    {
        $host = EppNamespace::Host->value;
        $store = $this->world->store;
        if ($verb->name() === 'check') {
            return EppAnswer::done(
                fn (EppWriter $to) => $to->object(EppNamespace::Host, 'chkData', function (EppWriter $to) use (
                    $object,
                    $host,
                ): void {
                    foreach ($object->texts($host, 'name') as $name) {
                        $to->open(
                            'host:cd',
                            [],
                            fn (EppWriter $to) => $to->text('host:name', $name, [
                                'avail' => $this->isThere(strtolower($name)) ? '0' : '1',
                            ]),
                        );
                    }
                }),
            );
        }
        $name = strtolower($object->textOf($host, 'name'));
        $addresses = $store->hosts->addresses($name);
        if ($verb->name() === 'create') {
            if ($this->isThere($name)) {
                throw EppRefusal::because(EppCode::Exists, "{$name} is there already.");
            }
            $given = $this->addresses($object);
            // One that lies elsewhere has its address there (RFC 5732 §2.5).
            if ($given === [] && self::isWithinOurs($name)) {
                throw EppRefusal::because(EppCode::MissingParameter, 'An address is missing.');
            }
            $store->hosts->put($name, $given);
            $store->tell("host {$name}", $this->account->number);

            return EppAnswer::done(
                fn (EppWriter $to) => $to->object(
                    EppNamespace::Host,
                    'creData',
                    fn (EppWriter $to) => $to->text('host:name', $name)->text('host:crDate', DomainAnswers::at($this->world->now())),
                ),
            );
        }
        if (! $this->isThere($name)) {
            throw EppRefusal::because(EppCode::DoesNotExist, "There is no host {$name}.");
        }

        return match ($verb->name()) {
            'info' => EppAnswer::done(
                fn (EppWriter $to) => $to->object(EppNamespace::Host, 'infData', function (EppWriter $to) use ($name, $addresses): void {
                    $to->text('host:name', $name)
                        ->text('host:roid', strtoupper(substr(hash('sha256', $name), 0, 12)).'-ROLL')
                        ->sign('host:status', ['s' => $this->world->store->hosts->isServer($name) ? 'linked' : 'ok']);
                    foreach ($addresses as $address) {
                        $to->text('host:addr', $address, ['ip' => str_contains($address, ':') ? 'v6' : 'v4']);
                    }
                    $to->text('host:clID', $this->sponsor($name))
                        ->text('host:crID', $this->sponsor($name))
                        ->text('host:crDate', DomainAnswers::at(0));
                }),
            ),
            'update' => $this->update($object, $name, $addresses),
            'delete' => $this->delete($name),
            default => throw EppRefusal::because(EppCode::UnimplementedCommand, "{$verb->name()} of a host is not carried out here."),
        };
    }

    private function isThere(string $name): bool
    {
        return $this->world->store->hosts->knows($name);
    }

    private static function isWithinOurs(string $name): bool
    {
        $suffixes = array_merge(...array_map(fn (Registry $registry): array => $registry->suffixes, Registry::all()));

        return array_filter($suffixes, fn (string $suffix): bool => str_ends_with($name, ".{$suffix}")) !== [];
    }

    /** @param  list<string>  $addresses */
    private function update(XmlNode $object, string $name, array $addresses): EppAnswer
    {
        $host = EppNamespace::Host->value;
        $this->own($name);
        $parts = [$object->childOrNull($host, 'add'), $object->childOrNull($host, 'rem'), $object->childOrNull($host, 'chg')];
        if ($parts === [null, null, null]) {
            throw EppRefusal::because(EppCode::MissingParameter, 'Nothing is to be changed.');
        }
        if ($parts[2] !== null || $parts[0]?->childOrNull($host, 'status') !== null || $parts[1]?->childOrNull($host, 'status') !== null) {
            throw EppRefusal::because(EppCode::UnimplementedOption, 'Only the addresses of a host can be changed here.');
        }
        $left = array_values(
            array_unique([
                ...array_diff($addresses, $this->addresses($object->childOrNull($host, 'rem'))),
                ...$this->addresses($object->childOrNull($host, 'add')),
            ]),
        );
        if ($left === []) {
            throw EppRefusal::because(EppCode::Policy, 'It would have no address.');
        }
        $this->world->store->hosts->put($name, $left);

        return EppAnswer::done();
    }

    /** RFC 5732 §3.2.2 */
    private function delete(string $name): EppAnswer
    {
        $this->own($name);
        if ($this->world->store->hosts->isServer($name)) {
            throw EppRefusal::because(EppCode::AssociationProhibits, 'Names are answered by it.');
        }
        $this->world->store->hosts->remove($name);

        return EppAnswer::done();
    }

    /** Whoever created it; those that were there before the world began are the registrar's. */
    private function sponsor(string $name): string
    {
        return $this->world->store->told("host {$name}") ?? $this->account->registrar;
    }

    private function own(string $name): void
    {
        if ($this->sponsor($name) !== $this->account->number) {
            throw EppRefusal::because(EppCode::Authorization, "{$name} is another’s.");
        }
    }

    /** @return list<string> */
    private function addresses(?XmlNode $node): array
    {
        $addresses = $node?->texts(EppNamespace::Host->value, 'addr') ?? [];
        foreach ($addresses as $address) {
            if (filter_var($address, FILTER_VALIDATE_IP) === false) {
                throw EppRefusal::because(EppCode::ValueSyntax, "{$address} is no address.");
            }
        }

        return $addresses;
    }
}
