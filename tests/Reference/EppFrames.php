<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Wire\Epp\Command\AgreedFee;
use Acre\Wire\Epp\Command\Check;
use Acre\Wire\Epp\Command\ContactCreate;
use Acre\Wire\Epp\Command\ContactInfo;
use Acre\Wire\Epp\Command\ContactUpdate;
use Acre\Wire\Epp\Command\Delete;
use Acre\Wire\Epp\Command\Disclose;
use Acre\Wire\Epp\Command\DomainChange;
use Acre\Wire\Epp\Command\DomainCreate;
use Acre\Wire\Epp\Command\DomainInfo;
use Acre\Wire\Epp\Command\DomainRenew;
use Acre\Wire\Epp\Command\DomainUpdate;
use Acre\Wire\Epp\Command\FeeCheck;
use Acre\Wire\Epp\Command\HostAddresses;
use Acre\Wire\Epp\Command\HostCreate;
use Acre\Wire\Epp\Command\HostInfo;
use Acre\Wire\Epp\Command\HostUpdate;
use Acre\Wire\Epp\Command\KeyChange;
use Acre\Wire\Epp\Command\Login;
use Acre\Wire\Epp\Command\Logout;
use Acre\Wire\Epp\Command\Poll;
use Acre\Wire\Epp\Command\RestoreReport;
use Acre\Wire\Epp\Command\Transfer;
use Acre\Wire\Epp\Command\TransferStep;
use Acre\Wire\Epp\Data\PostalInfo;
use Acre\Wire\Epp\Data\SigningKey;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppObject;
use DateTimeImmutable;
use DOMAttr;
use DOMDocument;
use DOMElement;
use Random\Randomizer;

/** Every command that we can send, and frames with something wrong in them. */
trait EppFrames
{
    /** @return list<EppCommand> every command that we can send, as the examples of the RFCs have it where they have one */
    private static function commands(): array
    {
        $objects = [EppNamespace::Domain->value, EppNamespace::Contact->value];
        $postal = new PostalInfo(false, 'John Doe', 'Example Inc.', ['123 Example Dr.', 'Suite 100'], 'Dulles', 'VA', '20166-6503', 'US');
        $key = fn (int $tag, string $digest): SigningKey => new SigningKey($tag, 3, 1, $digest);

        return [
            new Login('ClientX', 'foo-BAR2', $objects, [EppNamespace::Grace->value, EppNamespace::SecDns->value], 'bar-FOO2'),
            new Logout(),
            Poll::next(),
            Poll::kept('12345'),
            new Check(EppObject::Domain, ['example.com', 'example.net', 'example.org']),
            new DomainInfo('example.com'),
            new DomainInfo('example.com', '2fooBAR'),
            new DomainCreate(
                'example.com',
                2,
                ['ns1.example.net', 'ns2.example.net'],
                'jd1234',
                ['admin' => 'sh8013', 'tech' => 'sh8013'],
                '2fooBAR',
            ),
            new DomainRenew('example.com', new DateTimeImmutable('2000-04-03T00:00:00Z'), 5),
            new Delete(EppObject::Domain, 'example.com'),
            new Transfer(EppObject::Domain, TransferStep::Request, 'example.com', '2fooBAR', 1),
            new Transfer(EppObject::Domain, TransferStep::Query, 'example.com'),
            new Transfer(EppObject::Domain, TransferStep::Approve, 'example.com', '2fooBAR'),
            new DomainUpdate(
                'example.com',
                new DomainChange(['ns2.example.com'], ['clientHold'], ['tech' => 'mak21']),
                new DomainChange(['ns1.example.com'], ['clientUpdateProhibited'], ['tech' => 'sh8013']),
                'sh8013',
                '2BARfoo',
            ),
            new DomainUpdate('example.com', restore: true),
            new DomainUpdate('example.com', restore: true, fee: new AgreedFee('5.00', 'USD')),
            // Its own “other” is left out: whatever it would say stands in the rest.
            new RestoreReport(
                'example.com',
                'Pre-delete registration data goes here. Both XML and free text are allowed.',
                'Post-restore registration data goes here. Both XML and free text are allowed.',
                new DateTimeImmutable('2003-07-10T22:00:00Z'),
                new DateTimeImmutable('2003-07-20T22:00:00Z'),
                'Registrant error.',
            ),
            new Check(EppObject::Host, ['ns1.example.com', 'ns2.example.com', 'ns3.example.com']),
            new HostInfo('ns1.example.com'),
            new Delete(EppObject::Host, 'ns1.example.com'),
            new HostCreate('ns1.example.com', new HostAddresses(['192.0.2.2', '192.0.2.29', '1080:0:0:0:8:800:200C:417A'])),
            new HostUpdate(
                'ns1.example.com',
                new HostAddresses(['192.0.2.22']),
                new HostAddresses(['1080:0:0:0:8:800:200C:417A']),
                'ns2.example.com',
            ),
            new Check(EppObject::Contact, ['sh8013', 'sah8013', '8013sah']),
            new ContactInfo('sh8013', '2fooBAR'),
            new Delete(EppObject::Contact, 'sh8013'),
            new ContactCreate(
                'sh8013',
                [$postal, new PostalInfo(true, 'Jöhn Doe', null, ['Straße 1'], 'Würzburg', null, null, 'DE')],
                '+1.7035555555',
                'jdoe@example.com',
                '2fooBAR',
            ),
            new ContactUpdate('sh8013', [$postal], '+1.7034444444', 'other@example.com', new Disclose(true, ['voice', 'email'])),
            new ContactCreate(
                'sh8013',
                [$postal],
                '+1.7035555555',
                'jdoe@example.com',
                '2fooBAR',
                new Disclose(false, ['email', 'org', 'name', 'addr']),
            ),
            new Transfer(EppObject::Contact, TransferStep::Request, 'sh8013', '2fooBAR'),
            new Transfer(EppObject::Contact, TransferStep::Query, 'sh8013', '2fooBAR'),
            new Transfer(EppObject::Contact, TransferStep::Reject, 'sh8013'),
            // RFC 5910
            new DomainUpdate(
                'example.com',
                keys: new KeyChange([$key(12346, '38EC35D5B3A34B44C39B')], [$key(12345, '38EC35D5B3A34B33C99B')]),
            ),
            new DomainUpdate('example.com', keys: new KeyChange(remove: [$key(12346, '38EC35D5B3A34B44C39B')])),
            new DomainUpdate('example.com', keys: new KeyChange([$key(12346, '38EC35D5B3A34B44C39B')], removeAll: true)),
            self::create('example.com', [$key(12345, '49FD46E6C4B45C55D4AC')]),
            // RFC 8748
            new FeeCheck(
                ['example.com', 'example.net', 'example.xyz'],
                ['create' => 2, 'renew' => null, 'transfer' => null, 'restore' => null],
                'USD',
            ),
            self::create('example.net', [], new AgreedFee('5.00', 'USD')),
            new DomainRenew('example.com', new DateTimeImmutable('2019-04-03T00:00:00Z'), 5, new AgreedFee('5.00', 'USD')),
            new Transfer(EppObject::Domain, TransferStep::Request, 'example.com', '2fooBAR', 1, new AgreedFee('5.00', 'USD')),
        ];
    }

    /** @param  list<SigningKey>  $keys */
    private static function create(string $place, array $keys, ?AgreedFee $fee = null): DomainCreate
    {
        return new DomainCreate(
            'example.com',
            2,
            ["ns1.{$place}", "ns2.{$place}"],
            'jd1234',
            ['admin' => 'sh8013', 'tech' => 'sh8013'],
            '2fooBAR',
            $keys,
            $fee,
        );
    }

    /** A frame with one thing changed: an element gone, twice, elsewhere, another or with another text, an attribute gone or odd. */
    private static function spoilt(string $frame, Randomizer $random): string
    {
        $document = new DOMDocument();
        $document->loadXML($frame);
        $all = iterator_to_array($document->getElementsByTagName('*'), false);
        $element = $all[$random->getInt(1, count($all) - 1)];
        $parent = $element->parentNode;
        $attributes = array_map(fn (DOMAttr $one): string => $one->name, iterator_to_array($element->attributes, false));
        match ($random->getInt(0, 7)) {
            0 => $parent?->removeChild($element),
            1 => $parent?->insertBefore($element->cloneNode(true), $element),
            2 => $element->nextSibling === null ? null : $parent?->insertBefore($element->nextSibling, $element),
            3 => $element->firstElementChild === null
                ? ($element->textContent = ['', 'x', str_repeat('y', 300), '-1', 'é'][$random->getInt(0, 4)])
                : null,
            4 => $attributes === [] ? null : $element->removeAttribute($attributes[0]),
            5 => $attributes === [] ? null : $element->setAttribute($attributes[0], 'odd'),
            6 => $element->setAttribute('odd', '1'),
            default => $parent?->insertBefore(
                $random->getInt(0, 1) === 0
                    ? $document->createTextNode('odd')
                    : new DOMElement(ltrim("{$element->prefix}:odd", ':'), '', (string) $element->namespaceURI),
                $element,
            ),
        };

        return (string) $document->saveXML();
    }
}
