<?php

declare(strict_types=1);

namespace Tests\Reference;

use DOMDocument;
use RuntimeException;

/** The schemas of EPP, cut from the published texts, and our own extension's beside them. */
final readonly class EppSchemas
{
    /** Where each stands. */
    private const IN = [5730 => ['eppcom-1.0', 'epp-1.0'], 5732 => ['host-1.0'], 5731 => ['domain-1.0'], 5733 => ['contact-1.0'], 3915 => ['rgp-1.0'], 5910 => ['secDNS-1.1'], 8748 => ['epp:fee-1.0']];

    private const OWN = 'urn:acre-roll:params:xml:ns:account-1.0';

    private string $folder;

    public function __construct()
    {
        $this->folder = sys_get_temp_dir().'/acre-schemas-'.getmypid().'-'.bin2hex(random_bytes(3));
        mkdir($this->folder);
        $imports = '';
        foreach (self::IN as $rfc => $names) {
            preg_match_all('/^ *<schema\b.*?<\/schema>/ms', Published::whole($rfc), $found);
            foreach ($names as $name) {
                $file = strtr($name, ':', '-').'.xsd';
                $schema = array_values(array_filter($found[0], fn (string $text): bool => str_contains($text, "targetNamespace=\"urn:ietf:params:xml:ns:{$name}\"")));
                file_put_contents("{$this->folder}/{$file}", '<?xml version="1.0" encoding="UTF-8"?>'.($schema[0] ?? throw new RuntimeException("RFC {$rfc} has no schema {$name}.")));
                $imports .= "<import namespace=\"urn:ietf:params:xml:ns:{$name}\" schemaLocation=\"{$file}\"/>";
            }
        }
        copy(dirname(__DIR__, 2).'/docs/account-1.0.xsd', "{$this->folder}/account.xsd");
        $imports .= '<import namespace="'.self::OWN.'" schemaLocation="account.xsd"/>';
        file_put_contents("{$this->folder}/all.xsd", "<schema xmlns=\"http://www.w3.org/2001/XMLSchema\" targetNamespace=\"urn:acre:all\">{$imports}</schema>");
    }

    /** What is wrong with a frame; null: nothing. */
    public function complaint(string $frame): ?string
    {
        $document = new DOMDocument;
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
