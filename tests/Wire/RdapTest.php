<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Json\JsonError;
use Acre\Wire\Rdap\RdapAnswer;
use Acre\Wire\Rdap\RdapBootstrap;
use Acre\Wire\Rdap\RdapCard;
use Acre\Wire\Rdap\RdapDomain;
use Acre\Wire\Rdap\RdapEntity;
use Acre\Wire\Rdap\RdapError;
use Acre\Wire\Rdap\RdapRedactionMethod;
use Acre\Wire\Rdap\RdapRefusal;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Shapes of RFC 9083, 7095, 9537 and 9224, with invented contents; the RFCs' own examples are read by tests/Reference. */
final class RdapTest extends TestCase
{
    private const BODY = <<<'JSON'
    {
      "rdapConformance": ["rdap_level_0", "redacted"],
      "objectClassName": "domain", "handle": "77-REG", "ldhName": "Wickerby-Bells.COM.",
      "status": ["client transfer prohibited", "Active"],
      "events": [
        {"eventAction": "registration", "eventDate": "2019-10-13T08:00:00Z"},
        {"eventAction": "last changed", "eventDate": "2025-01-02T03:04:05Z"},
        {"eventAction": "last changed", "eventDate": "2026-01-02T03:04:05Z"},
        {"eventAction": "expiration", "eventDate": "2026-10-13T08:00:00.5Z"}],
      "nameservers": [{"objectClassName": "nameserver", "ldhName": "NS1.wire.example"},
        {"objectClassName": "nameserver", "ldhName": "ns2.wire.example."}],
      "secureDNS": {"delegationSigned": true, "dsData": [{"keyTag": 60485, "algorithm": 5, "digestType": 1,
        "digest": "2bb183af5f22588179a53b0a98631fad1a292118"}]},
      "links": [
        {"rel": "self", "href": "https://rdap.registry.example/domain/wickerby-bells.com", "type": "application/rdap+json"},
        {"rel": "related", "href": "https://rdap.skerry.example/domain/wickerby-bells.com", "type": "application/rdap+json"}],
      "entities": [
        {"objectClassName": "entity", "handle": "2999", "roles": ["registrar"],
          "publicIds": [{"type": "IANA Registrar ID", "identifier": "9999"}],
         "vcardArray": ["vcard", [["version", {}, "text", "4.0"], ["fn", {}, "text", "Skerry Registrations"]]],
         "entities": [{"objectClassName": "entity", "roles": ["abuse"],
           "vcardArray": ["vcard", [["fn", {}, "text", ""], ["tel", {"type": "voice"}, "uri", "tel:+44.1632960001"],
             ["email", {}, "text", "abuse@skerry.example"]]]}]},
        {"objectClassName": "entity", "roles": ["Registrant"], "status": ["validated"],
         "vcardArray": ["vcard", [["fn", {}, "text", ""], ["org", {}, "text", "Wickerby Bell Foundry"],
           ["adr", {"cc": "GB"}, "text", ["", "", ["Founders Yard", "1 Quay Lane"], "Wickerby Sound", "", "WS1 1AA", ""]],
           ["contact-uri", {}, "uri", "https://rdap.skerry.example/write-to/77"]]]}],
      "redacted": [
        {"name": {"type": "Registrant Name"}, "prePath": "$.entities[1].vcardArray[1][0]", "method": "emptyValue",
          "reason": {"description": "Server policy"}},
        {"name": {"description": "Registrant Phone"}, "pathLang": "jsonpath"}],
      "notices": [{"title": "Terms", "description": ["Ask no more than", "you need."]}],
      "extension_nobody_knows": {"x": [1, 2]}
    }
    JSON;

    private function domain(string $body = self::BODY): RdapDomain
    {
        $domain = RdapAnswer::read($body, 'wickerby-bells.com');
        self::assertInstanceOf(RdapDomain::class, $domain);

        return $domain;
    }

    private function entity(RdapDomain $domain, string $role): RdapEntity
    {
        return $domain->entity($role) ?? self::fail("There is no {$role}.");
    }

    private static function card(RdapEntity $entity): RdapCard
    {
        return $entity->card ?? self::fail('There is no card.');
    }

    public function test_a_domain_is_read_whole(): void
    {
        $domain = $this->domain();
        self::assertSame(
            ['wickerby-bells.com', ['client transfer prohibited', 'active'], ['ns1.wire.example', 'ns2.wire.example'], true],
            [$domain->name, $domain->statuses, $domain->servers, $domain->signed],
        );
        self::assertSame('2026-10-13 08:00:00', $domain->event('expiration')?->at->format('Y-m-d H:i:s'));
        self::assertSame('2026', $domain->event('last changed')?->at->format('Y'), 'The last of that kind counts.');
        self::assertNull($domain->event('transfer'));
        self::assertSame([60485, '2BB183AF5F22588179A53B0A98631FAD1A292118'], [$domain->ds[0]->keyTag, $domain->ds[0]->digest]);
        self::assertSame('https://rdap.skerry.example/domain/wickerby-bells.com', $domain->registrarsOwn());
        self::assertSame(['Terms: Ask no more than you need.'], $domain->notices);
        $registrar = $this->entity($domain, 'registrar');
        self::assertSame(['Skerry Registrations', '9999'], [self::card($registrar)->name, $registrar->ids['IANA Registrar ID']]);
        $abuse = self::card($registrar->entities[0]);
        self::assertSame([['abuse@skerry.example'], ['+44.1632960001'], null], [$abuse->mailboxes, $abuse->phones, $abuse->name]);
    }

    public function test_what_is_redacted_is_told_apart_from_what_is_absent(): void
    {
        $domain = $this->domain();
        $holder = $this->entity($domain, 'registrant');
        $card = self::card($holder);
        self::assertSame(
            [null, 'Wickerby Bell Foundry', 'GB', ['validated'], 'https://rdap.skerry.example/write-to/77'],
            [$card->name, $card->organisation, $card->country, $holder->statuses, $card->form],
        );
        self::assertSame('Founders Yard, 1 Quay Lane', $card->address[2]);
        self::assertSame(
            [
                ['Registrant Name', RdapRedactionMethod::EmptyValue, '$.entities[1].vcardArray[1][0]', 'Server policy'],
                ['Registrant Phone', RdapRedactionMethod::Removal, null, null],
            ],
            array_map(fn ($one): array => [$one->name, $one->method, $one->path, $one->reason], $domain->redactions),
        );
    }

    public function test_a_refusal_is_an_answer(): void
    {
        $refusal = RdapAnswer::read('{"errorCode": 404, "title": "Not found", "description": ["No such", "name."]}', 'nobody.com');
        self::assertInstanceOf(RdapRefusal::class, $refusal);
        self::assertSame([404, 'Not found', 'No such name.'], [$refusal->code, $refusal->title, $refusal->description]);
    }

    #[TestWith(['{"objectClassName":"entity"}', 'should be a domain, and is a entity'])]
    #[TestWith([
        '{"objectClassName":"domain","ldhName":"other.com"}',
        'Asked for wickerby-bells.com, the directory answered for other.com',
    ])]
    public function test_another_thing_than_was_asked_for_is_refused(string $body, string $said): void
    {
        $this->expectException(RdapError::class);
        $this->expectExceptionMessage($said);
        RdapAnswer::read($body, 'wickerby-bells.com');
    }

    #[TestWith(['"eventDate": "2019-10-13T08:00:00Z"', '"eventDate": "13 Oct 2019"', '$.events[0].eventDate should be a date and time'])]
    #[TestWith([
        '["version", {}, "text", "4.0"]',
        '["version"]',
        '$.entities[0].vcardArray[1][0] should be name, parameters, type and value',
    ])]
    #[TestWith(['"roles": ["registrar"]', '"roles": "registrar"', '$.entities[0].roles should be a list'])]
    #[TestWith(['"keyTag": 60485', '"keyTag": "60485"', '$.secureDNS.dsData[0].keyTag should be a whole number'])]
    #[TestWith([
        '"eventDate": "2019-10-13T08:00:00Z"',
        '"eventDate": "0000-01-01T00:00:00Z"',
        '$.events[0].eventDate should be a date and time',
    ])]
    public function test_what_is_odd_costs_itself_and_is_said_with_its_path(string $from, string $to, string $said): void
    {
        $whole = $this->domain(self::BODY);
        $domain = $this->domain(str_replace($from, $to, self::BODY));
        self::assertStringContainsString($said, implode("\n", $domain->odd));
        self::assertSame([], $whole->odd);
        self::assertSame(
            [$whole->name, $whole->statuses, $whole->servers, $whole->notices],
            [$domain->name, $domain->statuses, $domain->servers, $domain->notices],
        );
    }

    /** A list of which one member is odd is no shorter list: what is not in it would be taken for gone. */
    public function test_an_odd_member_of_what_is_compared_as_a_whole_makes_that_unknown(): void
    {
        $domain = fn (array $with): RdapDomain => $this->domain(
            (string) json_encode(
                $with + [
                    'objectClassName' => 'domain',
                    'ldhName' => 'wickerby-bells.com',
                    'status' => ['active', 'client transfer prohibited'],
                    'nameservers' => [['ldhName' => 'NS1.Bells.example.']],
                ],
            ),
        );
        self::assertSame([['active', 'client transfer prohibited'], ['ns1.bells.example']], [$domain([])->statuses, $domain([])->servers]);
        self::assertSame([], $domain(['status' => ['active', 7]])->statuses);
        self::assertSame([], $domain(['status' => 'active'])->statuses);
        foreach (['not a host', "ns\u{0}.example", str_repeat('a', 64).'.example', 'ns..example', ['x']] as $host) {
            self::assertNull($domain(['nameservers' => [['ldhName' => 'ns1.bells.example'], ['ldhName' => $host]]])->servers);
        }
        self::assertNull($domain(['nameservers' => 'ns1.bells.example'])->servers);
        self::assertSame(['active', 'client transfer prohibited'], $domain(['nameservers' => 'odd'])->statuses, 'and nothing else');
    }

    public function test_long_and_broken_texts_are_bounded(): void
    {
        $body = str_replace('"handle": "', '"handle": "'."\xff\\u0000\\u202e".str_repeat('y', 20_000), self::BODY);
        self::assertNotSame(self::BODY, $body);
        $handle = (string) $this->domain($body)->handle;
        self::assertSame(["\u{FFFD} y", 10_000], [mb_substr($handle, 0, 3), mb_strlen($handle)]);
        $card = $this->domain(str_replace('"fn", {}, "text", "', '"fn", {}, "text", "'.str_repeat('x', 100_000), self::BODY))->entities[0]
            ->card;
        self::assertSame(255, mb_strlen((string) $card?->name));
    }

    public function test_whatever_arrives_is_read_or_refused_and_nothing_else(): void
    {
        $random = new Randomizer(new Mt19937(7480));
        $refused = 0;
        for ($run = 0; $run < 1500; $run++) {
            $body = self::BODY;
            for ($cuts = $random->getInt(1, 4); $cuts > 0; $cuts--) {
                $at = $random->getInt(0, strlen($body) - 1);
                $body = substr($body, 0, $at).$random->getBytes($random->getInt(1, 3)).substr($body, $at + $random->getInt(0, 40));
            }
            try {
                RdapAnswer::read($body, 'wickerby-bells.com');
            } catch (JsonError|RdapError $e) {
                $refused++;
                self::assertNotSame('', $e->getMessage());
            }
        }
        self::assertGreaterThan(1000, $refused);
    }

    /** RFC 9224 §4: the longest match of labels counts; §3: addresses over TLS are to be preferred. */
    public function test_the_bootstrap_says_who_answers(): void
    {
        $bootstrap = RdapBootstrap::read(
            '{"version":"1.0","services":[[["net","COM"],["http://rdap.one.example/","https://rdap.one.example/"]],[["co.uk"],'
                .'["https://two.example/"]],[["uk"],["https://three.example/"]]]}',
        );
        self::assertSame(['https://rdap.one.example/', 'http://rdap.one.example/'], $bootstrap->for('bell.com'));
        self::assertSame(['https://two.example/'], $bootstrap->for('bell.co.uk'));
        self::assertSame(['https://three.example/'], $bootstrap->for('bell.org.uk'));
        self::assertSame([], $bootstrap->for('bell.nowhere'));
        $this->expectException(RdapError::class);
        $this->expectExceptionMessage('$.services[1] should be a list of names');
        RdapBootstrap::read('{"services":[[["a"],["https://x.example/"]],[["b"]]]}');
    }
}
