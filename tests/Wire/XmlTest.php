<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class XmlTest extends TestCase
{
    private const TEXT = '<a xmlns="urn:a" xmlns:b="urn:b"><b:c n="12" w=" x "> one
        two </b:c><b:c>three</b:c><c>mine</c><when>2026-10-06T09:00:00.5+02:00</when><bad>2026-02-31T00:00:00Z</bad><empty/></a>';

    private function node(): XmlNode
    {
        return XmlNode::read(self::TEXT, 1000);
    }

    public function test_children_are_told_apart_by_their_namespace(): void
    {
        $node = $this->node();
        self::assertTrue($node->is('urn:a', 'a'));
        self::assertSame(
            [['one two', 'three'], 'mine', null],
            [$node->texts('urn:b', 'c'), $node->textOf('urn:a', 'c'), $node->textOrNull('urn:b', 'd')],
        );
        self::assertSame([2, 6], [count($node->children('urn:b')), count($node->all())]);
        self::assertSame('', $node->textOf('urn:a', 'empty'));
    }

    public function test_attributes_numbers_and_times_are_read_by_type(): void
    {
        $node = $this->node();
        $first = $node->child('urn:b', 'c');
        self::assertSame([12, 'x', null], [$first->number('n'), $first->attribute('w'), $first->attribute('none')]);
        self::assertSame('2026-10-06T09:00:00+02:00', $node->timeOrNull('urn:a', 'when')?->format('c'));
        self::assertNull($node->timeOrNull('urn:a', 'never'));
    }

    /** What stands beside an odd instant is read all the same. */
    #[TestWith(['2026-02-31T00:00:00Z'], 'no day')]
    #[TestWith(['2026-10-06T09:00:00'], 'no zone')]
    #[TestWith(['0000-01-01T00:00:00Z'], 'no year of a domain name')]
    #[TestWith(['9999-12-31T00:00:00Z'])]
    #[TestWith(['yesterday'])]
    public function test_an_odd_instant_is_as_good_as_none(string $said): void
    {
        $node = XmlNode::read("<a xmlns=\"urn:a\"><when>{$said}</when><what>x</what></a>", 1_000);
        self::assertNull($node->timeOrNull('urn:a', 'when'));
        self::assertSame('x', $node->textOf('urn:a', 'what'));
    }

    public function test_what_is_not_as_asked_is_refused_with_its_path(): void
    {
        $node = $this->node();
        foreach (
            [
                'a/d is missing' => fn () => $node->child('urn:b', 'd'),
                'a/c/@w should be a whole number, and is “x”' => fn () => $node->child('urn:b', 'c')->number('w'),
                'a/c/@z is missing' => fn () => $node->child('urn:b', 'c')->number('z'),
            ] as $said => $ask
        ) {
            try {
                $ask();
                self::fail($said);
            } catch (XmlError $e) {
                self::assertStringContainsString($said, $e->getMessage());
            }
        }
    }

    #[TestWith(["<a>\0</a>", 3])]
    #[TestWith(["<a>é\xc3</a>", 5])]
    #[TestWith(["\xff\xfe<", 0])]
    public function test_it_says_from_which_byte_on_a_text_is_not_utf8(string $text, int $byte): void
    {
        $this->expectException(XmlError::class);
        $this->expectExceptionMessage("not UTF-8 from byte {$byte} on");
        XmlNode::read($text, 1000);
    }

    #[TestWith(['<!doctype a><a/>'])]
    #[TestWith(['<?xml version="1.0"?><!DOCTYPE a SYSTEM "file:///etc/passwd"><a/>'])]
    #[TestWith(['<!DOCTYPE a [<!ENTITY x "xxxxxxxxxx"><!ENTITY y "&x;&x;&x;">]><a>&y;</a>'])]
    public function test_entities_and_document_types_are_refused_before_anything_is_read(string $text): void
    {
        $this->expectException(XmlError::class);
        $this->expectExceptionMessage('declares a type');
        XmlNode::read($text, 1000);
    }

    public function test_too_long_is_refused_and_the_readers_own_settings_stay_as_they_were(): void
    {
        $before = libxml_use_internal_errors();
        foreach ([str_repeat(' ', 1001) => 'has 1001 bytes', '<a' => 'no XML'] as $text => $said) {
            try {
                XmlNode::read($text, 1000);
                self::fail($said);
            } catch (XmlError $e) {
                self::assertStringContainsString($said, $e->getMessage());
            }
        }
        self::assertSame([$before, []], [libxml_use_internal_errors(), libxml_get_errors()]);
    }
}
