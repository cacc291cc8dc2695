<?php

declare(strict_types=1);

namespace Standin\Directory;

use Acre\Core\Name\DomainName;
use Acre\Wire\Rdap\RdapAnswer;
use Standin\Registry\Policy;
use Standin\Registry\Registered;
use Standin\Registry\Registrar;
use Standin\Registry\Registry;

/** What a directory says of one name (RFC 9083 §5.3), redacted as RFC 9537 has it. */
final readonly class RdapDocument
{
    public const CONFORMANCE = ['rdap_level_0', 'redacted'];

    public function __construct(private Registered $name, private Registry|Registrar $keeper, private int $now)
    {
    }

    /** @return array<string, mixed> */
    public function domain(): array
    {
        $unicode = DomainName::of($this->name->name)->unicode;
        [$holder, $redacted] = $this->holder();

        return array_filter(
            [
                'rdapConformance' => self::CONFORMANCE,
                'objectClassName' => 'domain',
                'handle' => strtoupper(substr(hash('sha256', $this->name->name), 0, 10)).'-'.strtoupper($this->keeper->id),
                'ldhName' => $this->name->name,
                'unicodeName' => $unicode === $this->name->name ? null : $unicode,
                'status' => $this->statuses(),
                'events' => $this->events(),
                'entities' => array_values(array_filter([$holder, $this->registrar(), $this->reseller()], is_array(...))),
                'nameservers' => array_map(
                    fn (string $host): array => ['objectClassName' => 'nameserver', 'ldhName' => $host],
                    $this->name->servers,
                ),
                'secureDNS' => $this->secureDns(),
                'links' => $this->links(),
                'redacted' => $redacted === [] ? null : $redacted,
            ],
            fn (mixed $value): bool => $value !== null,
        );
    }

    /** @return list<string> in RFC 8056's words */
    private function statuses(): array
    {
        return array_map(
            fn (string $status): string => $status === 'ok' ? 'active' : strtolower((string) preg_replace('/(?<!^)[A-Z]/', ' $0', $status)),
            [...$this->name->standing(), ...$this->name->grace()],
        );
    }

    /** @return list<array<string, string>> */
    private function events(): array
    {
        $at = fn (int $epoch): string => gmdate('Y-m-d\TH:i:s\Z', $epoch);
        $events = [['eventAction' => 'registration', 'eventDate' => $at($this->name->created)]];
        if ($this->name->ends !== null) {
            $events[] = ['eventAction' => 'expiration', 'eventDate' => $at($this->name->ends)];
        }
        $paid = $this->keeper instanceof Registry ? null : $this->name->paidUntil();
        if ($paid !== null) {
            $events[] = ['eventAction' => 'registrar expiration', 'eventDate' => $at($paid)];
        }
        if ($this->name->moved !== null) {
            $events[] = ['eventAction' => 'transfer', 'eventDate' => $at($this->name->moved)];
        }
        $events[] = ['eventAction' => 'last changed', 'eventDate' => $at($this->name->updated)];
        $events[] = ['eventAction' => 'last update of RDAP database', 'eventDate' => $at($this->now)];

        return $events;
    }

    /** @return array{array<string, mixed>|null, list<array<string, mixed>>} */
    private function holder(): array
    {
        $holder = $this->name->holder;
        $policy = Policy::of(substr((string) strstr($this->name->name, '.'), 1), $holder->organisation === '');
        $shows = fn (string $field): bool => $policy->shows($field, $this->name->shown);
        $redacted = [];
        $kept = function (string $field, string $named, string $path, string $value) use ($shows, &$redacted): string {
            if ($value === '' || $shows($field)) {
                return $value;
            }
            $redacted[] = [
                'name' => ['description' => "Registrant {$named}"],
                'prePath' => "$.entities[?(@.roles[0]=='registrant')].vcardArray[1]{$path}",
                'method' => 'emptyValue',
                'reason' => [
                    'description' => in_array($field, $this->name->shown, true)
                        ? 'Registry policy'
                        : 'Not published at the registrant’s wish or by policy',
                ],
            ];

            return '';
        };
        $card = [
            ['version', (object) [], 'text', '4.0'],
            ['fn', (object) [], 'text', $kept('name', 'Name', "[?(@[0]=='fn')][3]", $holder->name)],
        ];
        $organisation = $kept('organisation', 'Organization', "[?(@[0]=='org')][3]", $holder->organisation);
        if ($organisation !== '') {
            $card[] = ['org', (object) [], 'text', $organisation];
        }
        $address = [
            '',
            '',
            $kept('street', 'Street', "[?(@[0]=='adr')][3][2]", $holder->street),
            $kept('town', 'City', "[?(@[0]=='adr')][3][3]", $holder->town),
            $kept('region', 'State/Province', "[?(@[0]=='adr')][3][4]", $holder->region),
            $kept('postcode', 'Postal Code', "[?(@[0]=='adr')][3][5]", $holder->postcode),
            '',
        ];
        $country = $kept('country', 'Country', "[?(@[0]=='adr')][1].cc", $holder->country);
        $card[] = ['adr', $country === '' ? (object) [] : ['cc' => $country], 'text', $address];
        $voice = $kept('voice', 'Phone', "[?(@[0]=='tel')][3]", $holder->voice);
        if ($voice !== '') {
            $card[] = ['tel', ['type' => 'voice'], 'uri', 'tel:'.str_replace('.', '-', $voice)];
        }
        $mailbox = $kept('mailbox', 'Email', "[?(@[0]=='email')][3]", $holder->mailbox);
        $card[] =
            $mailbox !== ''
                ? ['email', (object) [], 'text', $mailbox]
                : ['contact-uri', (object) [], 'uri', "https://{$this->keeper->rdap}/reach/{$this->name->name}"];

        return [
            array_filter(
                [
                    'objectClassName' => 'entity',
                    'handle' => $holder->handle,
                    'roles' => ['registrant'],
                    'vcardArray' => ['vcard', $card],
                    'status' => $this->name->validated === null ? null : ($this->name->validated ? ['validated'] : ['active']),
                    'remarks' => $this->name->validated === false
                            ? [
                                [
                                    'title' => 'Registrant data',
                                    'description' => ['The registry could not validate the registrant’s name and address.'],
                                ],
                            ]
                            : null,
                ],
                fn (mixed $value): bool => $value !== null,
            ),
            $redacted,
        ];
    }

    /** @return array<string, mixed> */
    private function registrar(): array
    {
        $registrar = Registrar::of($this->name->registrar);
        $byTag = Registry::for($this->name->name)->byTag ?? false;

        return [
            'objectClassName' => 'entity',
            'handle' => $byTag ? $registrar->tag : $registrar->number,
            'roles' => ['registrar'],
            'publicIds' => $byTag ? [] : [['type' => 'IANA Registrar ID', 'identifier' => $registrar->number]],
            'vcardArray' => ['vcard', [['version', (object) [], 'text', '4.0'], ['fn', (object) [], 'text', $registrar->name]]],
            'entities' => [
                [
                    'objectClassName' => 'entity',
                    'roles' => ['abuse'],
                    'vcardArray' => [
                        'vcard',
                        [
                            ['version', (object) [], 'text', '4.0'],
                            ['fn', (object) [], 'text', 'Abuse desk'],
                            ['email', (object) [], 'text', $registrar->abuse],
                        ],
                    ],
                ],
            ],
        ];
    }

    /** @return array<string, mixed>|null */
    private function reseller(): ?array
    {
        return $this->name->reseller === null
            ? null
            : [
                'objectClassName' => 'entity',
                'roles' => ['reseller'],
                'vcardArray' => ['vcard', [['version', (object) [], 'text', '4.0'], ['fn', (object) [], 'text', $this->name->reseller]]],
            ];
    }

    /** @return array<string, mixed> */
    private function secureDns(): array
    {
        return $this->name->ds === []
            ? ['delegationSigned' => false]
            : [
                'delegationSigned' => true,
                'dsData' => array_map(
                    fn (array $ds): array => ['keyTag' => $ds[0], 'algorithm' => $ds[1], 'digestType' => $ds[2], 'digest' => $ds[3]],
                    $this->name->ds,
                ),
            ];
    }

    /** @return list<array<string, string>> */
    private function links(): array
    {
        $at = fn (string $host): string => "https://{$host}/domain/{$this->name->name}";
        $self = $at((string) $this->keeper->rdap);
        $links = [['value' => $self, 'rel' => 'self', 'href' => $self, 'type' => RdapAnswer::TYPE]];
        if ($this->keeper instanceof Registry) {
            $links[] = [
                'value' => $self,
                'rel' => 'related',
                'href' => $at(Registrar::of($this->name->registrar)->rdap),
                'type' => RdapAnswer::TYPE,
            ];
        }

        return $links;
    }
}
