<?php

declare(strict_types=1);

namespace Tests\Core\Name;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever is pasted is a name in one form, or an error with words; the seed is fixed. */
final class DomainNamePropertiesTest extends TestCase
{
    private const PIECES = [
        'a',
        'Z',
        '0',
        '-',
        '--',
        '.',
        '..',
        '_',
        ' ',
        'ä',
        'ß',
        'ς',
        'é',
        'е',
        'א',
        'ا',
        'あ',
        '钟',
        '☃',
        "\u{200D}",
        "\u{0301}",
        "\u{3002}",
        'xn--',
        'com',
        '.com',
        '.co.uk',
        '/',
        ':',
        '@',
        '#',
        '?',
        "\u{00AD}",
        "\u{FF41}",
        '٣',
        '%',
        "\0",
        "\xFF",
    ];

    private static function anyText(Randomizer $random): string
    {
        $text = '';
        for ($count = $random->getInt(1, 9); $count > 0; $count--) {
            $text .= self::PIECES[$random->getInt(0, count(self::PIECES) - 1)];
        }

        return $random->getInt(0, 2) > 0 ? $text.'.com' : $text;
    }

    public function test_a_name_is_itself_in_every_form(): void
    {
        $random = new Randomizer(new Mt19937(5891));
        $names = $errors = 0;
        for ($case = 0; $case < 20_000; $case++) {
            $text = self::anyText($random);
            try {
                $name = DomainName::of($text);
            } catch (NameError $e) {
                $errors++;
                self::assertNotSame('', $e->getMessage());
                self::assertTrue(mb_check_encoding($e->getMessage(), 'UTF-8'));

                continue;
            }
            $names++;
            foreach (
                [$name->ascii, $name->unicode, strtoupper($name->ascii), $name->ascii.'.', "  https://{$name->unicode}:443/x "] as $form
            ) {
                self::assertTrue($name->equals(DomainName::of($form)), json_encode([$text, $form], JSON_INVALID_UTF8_SUBSTITUTE).'');
            }
            self::assertMatchesRegularExpression('/^[a-z0-9-]+(\.[a-z0-9-]+)+$/D', $name->ascii);
            self::assertLessThanOrEqual(253, strlen($name->ascii));
            foreach ($name->labels as $label) {
                self::assertLessThanOrEqual(63, strlen($label));
                self::assertNotSame('-', $label[0]);
                self::assertNotSame('-', $label[strlen($label) - 1]);
            }
            self::assertStringEndsWith('.'.$name->suffix(), '.'.$name->ascii);
            $registrable = $name->registrable();
            self::assertTrue($registrable->isRegistrable());
            self::assertSame($name->suffix(), $registrable->suffix());
            self::assertTrue($registrable->equals($registrable->registrable()));
            self::assertSame(substr_count($registrable->ascii, '.'), substr_count($registrable->unicode, '.'));
        }
        self::assertGreaterThan(1000, $names);
        self::assertGreaterThan(1000, $errors);
    }
}
