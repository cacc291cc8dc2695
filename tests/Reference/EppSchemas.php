<?php

declare(strict_types=1);

namespace Tests\Reference;

use DOMDocument;
use RuntimeException;

/** The schemas of EPP, cut from the published texts, and our own extension's beside them. */
final readonly class EppSchemas
{
    /** Where each stands, and is kept as it was published: `schemas/LICENCE.txt`. */
    private const IN = [
        5730 => ['eppcom-1.0', 'epp-1.0'],
        5732 => ['host-1.0'],
        5731 => ['domain-1.0'],
        5733 => ['contact-1.0'],
        5910 => ['secDNS-1.1'],
        8748 => ['epp:fee-1.0'],
    ];

    private const KEPT = __DIR__.'/schemas';

    private const OWN = 'urn:acre-roll:params:xml:ns:account-1.0';

    private const GRACE = 'urn:ietf:params:xml:ns:rgp-1.0';

    private string $folder;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/acre-schemas-'.getmypid().'-'.bin2hex(random_bytes(3));
        mkdir($this->folder);
        $imports = '';
        foreach (array_merge(...array_values(self::IN)) as $name) {
            copy(self::KEPT.'/'.self::file($name), "{$this->folder}/".self::file($name));
            $imports .= "<import namespace=\"urn:ietf:params:xml:ns:{$name}\" schemaLocation=\"".self::file($name).'"/>';
        }
        file_put_contents("{$this->folder}/rgp-1.0.xsd", self::grace());
        copy(dirname(__DIR__, 2).'/docs/account-1.0.xsd', "{$this->folder}/account.xsd");
        $imports .=
            '<import namespace="'.
            self::GRACE.
            '" schemaLocation="rgp-1.0.xsd"/><import namespace="'.
            self::OWN.
            '" schemaLocation="account.xsd"/>';
        file_put_contents(
            "{$this->folder}/all.xsd",
            "<schema xmlns=\"http://www.w3.org/2001/XMLSchema\" targetNamespace=\"urn:acre:all\">{$imports}</schema>",
        );
    }

    /** @return list<string> those that are kept otherwise than they were published */
    public static function differing(): array
    {
        $differ = [];
        foreach (self::IN as $rfc => $names) {
            foreach ($names as $name) {
                $published = (string) preg_replace('/[ \t]+$/m', '', self::published($rfc, $name));
                if (trim((string) strstr((string) file_get_contents(self::KEPT.'/'.self::file($name)), "\n")) !== trim($published)) {
                    $differ[] = $name;
                }
            }
        }

        return $differ;
    }

    /** RFC 3915 is older than that licence: its schema is read from the text where that is there, and else what is of it passes. */
    private static function grace(): string
    {
        return Published::isThere()
            ? '<?xml version="1.0" encoding="UTF-8"?>'.self::published(3915, 'rgp-1.0')
            : '<schema xmlns="http://www.w3.org/2001/XMLSchema" targetNamespace="'.
                    self::GRACE.
                    '"><element name="update"/><element name="infData"/><element name="upData"/></schema>';
    }

    private static function published(int $rfc, string $name): string
    {
        preg_match_all('/^ *<schema\b.*?<\/schema>/ms', Published::whole($rfc), $found);

        return array_values(
            array_filter($found[0], fn (string $text): bool => str_contains($text, "targetNamespace=\"urn:ietf:params:xml:ns:{$name}\"")),
        )[0] ?? throw new RuntimeException("RFC {$rfc} has no schema {$name}.");
    }

    private static function file(string $name): string
    {
        return strtr($name, ':', '-').'.xsd';
    }

    /** What is wrong with a frame; null: nothing. */
    public function complaint(string $frame): ?string
    {
        $document = new DOMDocument();
        libxml_use_internal_errors(true);
        $isValid = $document->loadXML($frame, LIBXML_NONET) && $document->schemaValidate("{$this->folder}/all.xsd");
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors(false);

        return $isValid ? null : ($error === false ? 'not valid' : trim($error->message));
    }

    public function tearDown(): void
    {
        $files = glob("{$this->folder}/*");
        array_map(unlink(...), $files === false ? [] : $files);
        rmdir($this->folder);
    }
}
