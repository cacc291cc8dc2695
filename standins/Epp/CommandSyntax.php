<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Xml\XmlNode;

/**
 * The formal syntax of commands: what the schemas of RFC 5730 §4, 5731 §4, 5732 §4, 5733 §4, 3915 §5, 5910 §6 and 8748 §6 and of our
 * own extension say of what a client sends. PHP's validator would read them all again for each frame, which takes ten times
 * as long as the command itself; `tests/Reference/EppReferenceTest.php` holds this table against them.
 *
 * An element is looked up below its parent first (`domain:info/name`), then by itself (`domain:name`).
 */
final class CommandSyntax
{
    /** Child elements in their order; ANY is one of another namespace. */
    private const CHILDREN = [
        'epp:epp' => '(hello | command)',
        'epp:command' => '(check | create | delete | info | login | logout | poll | renew | transfer | update) extension? clTRID?',
        'epp:check' => 'ANY',
        'epp:create' => 'ANY',
        'epp:delete' => 'ANY',
        'epp:info' => 'ANY',
        'epp:renew' => 'ANY',
        'epp:transfer' => 'ANY',
        'epp:update' => 'ANY',
        'epp:login' => 'clID pw newPW? options svcs',
        'epp:options' => 'version lang',
        'epp:svcs' => 'objURI+ svcExtension?',
        'epp:svcExtension' => 'extURI+',
        'epp:poll' => '',
        'epp:extension' => 'ANY+',

        'domain:check' => 'name+',
        'domain:create' => 'name period? ns? registrant? contact* authInfo',
        'domain:delete' => 'name',
        'domain:info' => 'name authInfo?',
        'domain:renew' => 'name curExpDate period?',
        'domain:transfer' => 'name period? authInfo?',
        'domain:update' => 'name add? rem? chg?',
        'domain:add' => 'ns? contact* status{0,11}',
        'domain:rem' => 'ns? contact* status{0,11}',
        'domain:chg' => 'registrant? authInfo?',
        'domain:ns' => '(hostObj+ | hostAttr+)',
        'domain:hostAttr' => 'hostName hostAddr*',
        'domain:authInfo' => '(pw | ext)',
        'domain:chg/authInfo' => '(pw | ext | null)',
        'domain:ext' => 'ANY',

        'host:check' => 'name+',
        'host:create' => 'name addr*',
        'host:delete' => 'name',
        'host:info' => 'name',
        'host:update' => 'name add? rem? chg?',
        'host:add' => 'addr* status{0,7}',
        'host:rem' => 'addr* status{0,7}',
        'host:chg' => 'name',

        'contact:check' => 'id+',
        'contact:create' => 'id postalInfo{1,2} voice? fax? email authInfo disclose?',
        'contact:delete' => 'id',
        'contact:info' => 'id authInfo?',
        'contact:transfer' => 'id authInfo?',
        'contact:update' => 'id add? rem? chg?',
        'contact:add' => 'status{1,7}',
        'contact:rem' => 'status{1,7}',
        'contact:chg' => 'postalInfo{0,2} voice? fax? email? authInfo? disclose?',
        'contact:postalInfo' => 'name org? addr',
        'contact:chg/postalInfo' => 'name? org? addr?',
        'contact:addr' => 'street{0,3} city sp? pc? cc',
        'contact:authInfo' => '(pw | ext)',
        'contact:ext' => 'ANY',
        'contact:disclose' => 'name{0,2} org{0,2} addr{0,2} voice? fax? email?',
        'contact:disclose/name' => '',
        'contact:disclose/org' => '',
        'contact:disclose/addr' => '',

        'rgp:update' => 'restore',
        'rgp:restore' => 'report?',

        'secDNS:create' => 'maxSigLife? (dsData+ | keyData+)',
        'secDNS:update' => 'rem? add? chg?',
        'secDNS:rem' => '(all | dsData+ | keyData+)',
        'secDNS:add' => 'maxSigLife? (dsData+ | keyData+)',
        'secDNS:chg' => 'maxSigLife?',
        'secDNS:dsData' => 'keyTag alg digestType digest keyData?',
        'secDNS:keyData' => 'flags protocol alg pubKey',

        'fee:check' => 'currency? command+',
        'fee:command' => 'period?',
        'fee:create' => 'currency? fee+ credit*',
        'fee:renew' => 'currency? fee+ credit*',
        'fee:transfer' => 'currency? fee+ credit*',
        'fee:update' => 'currency? fee+ credit*',

        'account:info' => 'number entries?',
        'account:entries' => '',
        'account:update' => '(autoRenew | disclose | handover)',
        'account:disclose' => 'field{0,9}',
        'account:handover' => '(number login)?',
    ];

    private const ID = '.{3,16}';

    private const LABEL = '.{1,255}';

    private const LINE = '.{1,255}';

    private const ANY_LINE = '.{0,255}';

    private const YES_NO = 'true|false|1|0';

    private const BYTE = '0*(?:25[0-5]|2[0-4]\d|1?\d?\d)';

    private const SHORT = '0*(?:6553[0-5]|655[0-2]\d|65[0-4]\d\d|6[0-4]\d{3}|[1-5]?\d{1,4})';

    private const PHONE = '(?:\+[0-9]{1,3}\.[0-9]{1,14})?';

    private const MONEY = '\+?(?:\d+(?:\.\d*)?|\.\d+)|-0+(?:\.0*)?';

    /** Patterns of texts, blanks around them and runs of blanks taken as one. */
    private const TEXTS = [
        'epp:clTRID' => '.{3,64}',
        'epp:clID' => self::ID,
        'epp:pw' => '.{6,16}',
        'epp:newPW' => '.{6,16}',
        'epp:version' => '[1-9]+\.[0-9]+',
        'epp:lang' => '[a-zA-Z]{1,8}(?:-[a-zA-Z0-9]{1,8})*',
        'epp:objURI' => '.*',
        'epp:extURI' => '.*',
        'domain:name' => self::LABEL,
        'domain:period' => '0*[1-9]\d?',
        'domain:registrant' => self::ID,
        'domain:chg/registrant' => '.{0,16}',
        'domain:contact' => self::ID,
        'domain:hostObj' => self::LABEL,
        'domain:hostName' => self::LABEL,
        'domain:hostAddr' => '.{3,45}',
        'domain:pw' => '.*',
        'domain:status' => '.*',
        'domain:curExpDate' => '-?\d{4,}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])(?:Z|[+-]\d\d:\d\d)?',
        'host:name' => self::LABEL,
        'host:addr' => '.{3,45}',
        'host:status' => '.*',
        'contact:id' => self::ID,
        'contact:name' => self::LINE,
        'contact:org' => self::ANY_LINE,
        'contact:street' => self::ANY_LINE,
        'contact:city' => self::LINE,
        'contact:sp' => self::ANY_LINE,
        'contact:pc' => '.{0,16}',
        'contact:cc' => '.{2}',
        'contact:voice' => self::PHONE,
        'contact:fax' => self::PHONE,
        'contact:email' => '.+',
        'contact:pw' => '.*',
        'contact:status' => '.*',
        'secDNS:maxSigLife' => '0*[1-9]\d{0,9}',
        'secDNS:all' => self::YES_NO,
        'secDNS:keyTag' => self::SHORT,
        'secDNS:alg' => self::BYTE,
        'secDNS:digestType' => self::BYTE,
        'secDNS:digest' => '(?:[0-9a-fA-F]{2})*',
        'secDNS:flags' => self::SHORT,
        'secDNS:protocol' => self::BYTE,
        'secDNS:pubKey' => '[A-Za-z0-9+\/ ]+=? ?=?',
        'fee:currency' => '[A-Z]{3}',
        'fee:period' => '0*[1-9]\d?',
        'fee:fee' => self::MONEY,
        'fee:credit' => '-(?:\d+(?:\.\d*)?|\.\d+)|\+?0+(?:\.0*)?',
        'account:number' => '.{0,100}',
        'account:login' => '.{1,200}',
        'account:autoRenew' => self::YES_NO,
        'account:field' => 'name|organisation|street|town|region|postcode|country|voice|mailbox',
    ];

    private const LANG = ['lang' => '[a-zA-Z]{1,8}(?:-[a-zA-Z0-9]{1,8})*'];

    private const ROID = ['roid' => '\w{1,80}-\w{1,8}'];

    private const UNIT = ['unit!' => 'y|m'];

    private const TYPE = ['type!' => 'loc|int'];

    /** Patterns of attributes; `!` stands behind those that must be there. */
    private const ATTRIBUTES = [
        'epp:poll' => ['op!' => 'ack|req', 'msgID' => '.*'],
        'epp:transfer' => ['op!' => 'approve|cancel|query|reject|request'],
        'domain:period' => self::UNIT,
        'domain:contact' => ['type' => 'admin|billing|tech'],
        'domain:info/name' => ['hosts' => 'all|del|none|sub'],
        'domain:pw' => self::ROID,
        'domain:hostAddr' => ['ip' => 'v4|v6'],
        'domain:status' => [
            's!' => '(?:client|server)(?:Hold|(?:Delete|Renew|Transfer|Update)Prohibited)|inactive|ok|pending(?:Create|Delete|Renew|'
                .'Transfer|Update)',
        ] + self::LANG,
        'host:addr' => ['ip' => 'v4|v6'],
        'host:status' => ['s!' => '(?:client|server)(?:Delete|Update)Prohibited|linked|ok|pending(?:Create|Delete|Transfer|'
            .'Update)'] + self::LANG,
        'contact:postalInfo' => self::TYPE,
        'contact:disclose' => ['flag!' => self::YES_NO],
        'contact:disclose/name' => self::TYPE,
        'contact:disclose/org' => self::TYPE,
        'contact:disclose/addr' => self::TYPE,
        'contact:pw' => self::ROID,
        'contact:voice' => ['x' => '.*'],
        'contact:fax' => ['x' => '.*'],
        'contact:status' => ['s!' => '(?:client|server)(?:Delete|Transfer|Update)Prohibited|linked|ok|pending(?:Create|Delete|Transfer|'
            .'Update)'] +
            self::LANG,
        'rgp:restore' => ['op!' => 'request|report'],
        'secDNS:update' => ['urgent' => self::YES_NO],
        'fee:command' => [
            'name!' => 'create|delete|renew|update|transfer|restore|custom',
            'customName' => '.*',
            'phase' => '.*',
            'subphase' => '.*',
        ],
        'fee:period' => self::UNIT,
        'fee:fee' => ['description' => '.*', 'refundable' => self::YES_NO, 'grace-period' => '-?P.+', 'applied' => 'immediate|'
            .'delayed'] + self::LANG,
        'fee:credit' => ['description' => '.*'] + self::LANG,
        'account:handover' => ['op!' => 'request|cancel'],
        'account:entries' => ['after' => '.{0,100}'],
    ];

    /** What schemas leave open; nothing below it is looked at. */
    private const OPEN = [
        'epp:hello',
        'epp:logout',
        'domain:null',
        'contact:disclose/voice',
        'contact:disclose/fax',
        'contact:disclose/email',
        'rgp:report',
    ];

    /**
     * @var array<string, array<string, array<string, array{words: string|null, children: string|null, text: string|null,
     *     attributes: array<string, string>}|false>>> by namespace, parent and name what an element may hold, as it was once worked out;
     *     false: anything
     */
    private static array $known = [];

    /**
     * @throws EppRefusal with the code that RFC 5730 §3 names: 2001 for what may not stand there, 2003 for an attribute that is missing,
     * 2005 for a value
     */
    public static function check(XmlNode $element, string $below = ''): void
    {
        [$namespace, $name] = [$element->namespace(), $element->name()];
        $may = self::$known[$namespace][$below][$name] ?? self::found($element, $below);
        if ($may === false) {
            return;
        }
        self::attributes($element, $may['attributes']);
        if ($may['children'] === null) {
            self::text($element, $may['text'] ?? '');

            return;
        }
        $names = '';
        foreach ($element->all() as $child) {
            $names .= ($child->namespace() === $namespace ? $child->name() : 'ANY').' ';
        }
        if (preg_match($may['children'], $names) !== 1 || $element->hasLooseText()) {
            throw EppRefusal::because(
                EppCode::Syntax,
                "{$element->path()} holds: ".($may['words'] === '' ? 'nothing' : $may['words']).'.',
            );
        }
        foreach ($element->all() as $child) {
            self::check($child, $name);
        }
    }

    /** @return array{words: string|null, children: string|null, text: string|null, attributes: array<string, string>}|false */
    private static function found(XmlNode $element, string $below): array|false
    {
        $prefix = EppNamespace::tryFrom($element->namespace())?->prefix();
        if ($prefix === null) {
            // Whose it is says whether anybody here speaks it.
            return false;
        }
        $alone = "{$prefix}:{$element->name()}";
        $inside = "{$prefix}:{$below}/{$element->name()}";
        if (in_array($alone, self::OPEN, true) || in_array($inside, self::OPEN, true)) {
            return self::$known[$element->namespace()][$below][$element->name()] = false;
        }
        $children = self::CHILDREN[$inside] ?? (isset(self::TEXTS[$inside]) ? null : self::CHILDREN[$alone] ?? null);
        $text = self::TEXTS[$inside] ?? (self::TEXTS[$alone] ?? null);
        if ($children === null && $text === null) {
            throw EppRefusal::because(EppCode::Syntax, "{$element->path()} is not known.");
        }

        return self::$known[$element->namespace()][$below][$element->name()] = [
            'words' => $children,
            'children' => $children === null ? null : self::pattern($children),
            'text' => $children === null ? "/^(?:{$text})$/Du" : null,
            'attributes' => self::ATTRIBUTES[$inside] ?? (self::ATTRIBUTES[$alone] ?? []),
        ];
    }

    private static function text(XmlNode $element, string $pattern): void
    {
        if (! $element->isLeaf()) {
            throw EppRefusal::because(EppCode::Syntax, "{$element->path()} holds a text.");
        }
        if (preg_match($pattern, $element->text()) !== 1) {
            throw EppRefusal::because(EppCode::ValueSyntax, "{$element->path()} is not as it should be written.");
        }
    }

    /** @param  array<string, string>  $patterns */
    private static function attributes(XmlNode $element, array $patterns): void
    {
        $given = $element->attributes();
        foreach ($patterns as $name => $pattern) {
            $plain = rtrim($name, '!');
            if (! isset($given[$plain])) {
                if ($plain !== $name) {
                    throw EppRefusal::because(EppCode::MissingParameter, "{$element->path()}/@{$plain} is missing.");
                }
            } elseif (preg_match("/^(?:{$pattern})$/Du", $given[$plain]) !== 1) {
                throw EppRefusal::because(EppCode::ValueSyntax, "{$element->path()}/@{$plain} is not as it should be written.");
            }
            unset($given[$plain]);
        }
        if ($given !== []) {
            throw EppRefusal::because(EppCode::Syntax, "{$element->path()}/@".array_key_first($given).' is not known.');
        }
    }

    /** Of `a b? (c+ | d)` a pattern of names that each end in a blank. */
    private static function pattern(string $children): string
    {
        return '/^'.str_replace(' ', '', (string) preg_replace('/[A-Za-z]\w*/', '(?:$0\x20)', $children)).'$/D';
    }
}
