<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;
use Acre\Wire\Xml\XmlPrologue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** XML 1.0 §2.8 and appendix F.1. */
final class XmlPrologueTest extends TestCase
{
    #[TestWith(['<a/>'])]
    #[TestWith(["\xEF\xBB\xBF<?xml version=\"1.0\" encoding=\"UTF-8\"?>\r\n<a/>"])]
    #[TestWith(['<?xml version="1.0" standalone="yes"?><!-- <!DOCTYPE a> --><?odd <!DOCTYPE a> ?> <b:a xmlns:b="urn:b"/>'])]
    #[TestWith(["\n<a>\u{E9}</a>"])]
    #[TestWith(['<é/>'])]
    public function test_an_element_is_the_first_that_counts(string $document): void
    {
        self::assertTrue(XmlPrologue::isPlain($document));
        self::assertTrue(XmlPrologue::isXml($document));
    }

    #[TestWith(['<!DOCTYPE a><a/>'])]
    #[TestWith(['<!-- <a --><!DOCTYPE a [<!ENTITY b "c">]><a/>'])]
    #[TestWith(['<?xml version="1.0"?><?b <a ?><!doctype a><a/>'])]
    #[TestWith(['<?xml version="1.0" encoding="UTF-7"?>+ADw-+ACE-DOCTYPE a>'])]
    #[TestWith(["<?xml version='1.0' encoding='ISO-8859-1'?><a/>"])]
    #[TestWith(["\xFF\xFE<\0a\0/\0>\0"])]
    #[TestWith(["\xFE\xFF\0<\0a\0/\0>"])]
    #[TestWith(["<\0!\0D\0"])]
    #[TestWith(["\x4C\x6F\xA7\x94\x93"], 'EBCDIC')]
    #[TestWith(['<!-- without an end'])]
    public function test_anything_else_before_it_is_refused(string $document): void
    {
        self::assertFalse(XmlPrologue::isPlain($document));
        self::assertTrue(XmlPrologue::isXml($document));
    }

    public function test_padding_hides_nothing(): void
    {
        self::assertFalse(XmlPrologue::isPlain(substr('<!-- '.str_repeat('x', 100_000).' --><!DOCTYPE a><a/>', 0, 65_536)));
        self::assertFalse(XmlPrologue::isPlain(str_repeat(' ', 60_000).'<!DOCTYPE a><a/>'));
    }

    public function test_pictures_are_no_xml(): void
    {
        foreach (
            [
                "\x89PNG\r\n\x1a\n\0\0\0\rIHDR",
                "\xFF\xD8\xFF\xE0\0\x10JFIF",
                'GIF89a',
                "\0\0\1\0\1",
                'application/vnd.oasis.opendocument.spreadsheet',
                '',
            ] as $bytes
        ) {
            self::assertFalse(XmlPrologue::isXml($bytes));
        }
    }

    /** libxml would read it otherwise than it was looked at. */
    public function test_a_document_that_says_another_encoding_is_not_read(): void
    {
        $this->expectException(XmlError::class);
        XmlNode::read('<?xml version="1.0" encoding="UTF-7"?><a>+ADw-b/+AD4-</a>', 1_000);
    }
}
