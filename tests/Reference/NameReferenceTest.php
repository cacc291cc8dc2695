<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Names, held against the public suffix list's own vectors, GNU libidn2 and RFC 3492's samples. */
final class NameReferenceTest extends TestCase
{
    private const VECTORS = '/usr/share/doc/publicsuffix/examples/test_psl.txt';

    /** Source: the public suffix list's test vectors (https://publicsuffix.org/list/), as Debian's `publicsuffix` ships them. */
    public function test_the_registrable_part_by_the_lists_own_vectors(): void
    {
        preg_match_all(
            "/^checkPublicSuffix\((null|'[^']*'), (null|'[^']*')\);/m",
            (string) file_get_contents(self::VECTORS),
            $vectors,
            PREG_SET_ORDER,
        );
        $wrong = [];
        $tried = 0;
        foreach ($vectors as [, $input, $expected]) {
            if ($input === 'null' || str_starts_with($input, "'.") || preg_match('/blogspot|uk\.com/', $input) === 1) {
                // null, a leading dot and the private section: the vectors' own conventions, which we don't share.
                continue;
            }
            $tried++;
            try {
                $found = DomainName::of(trim($input, "'"))->registrable()->ascii;
            } catch (NameError) {
                $found = null;
            }
            $wanted = $expected === 'null' ? null : DomainName::of(trim($expected, "'"))->ascii;
            if ($found !== $wanted) {
                $wrong[] = "{$input}: {$found}, wanted {$wanted}";
            }
        }
        self::assertGreaterThan(60, $tried);
        self::assertSame([], $wrong);
    }

    /** A second implementation: GNU libidn2's `idn2`, which knows nothing of ICU. */
    public function test_a_labels_encoding_by_a_second_implementation(): void
    {
        $alphabets = ['abcäöüßéñçøåœ', 'абвгдежзик', 'αβγδεζηθς', 'あいうえおカキク', '钟铃塔楼海港', 'अआइईउकखग'];
        $random = new Randomizer(new Mt19937(5890));
        $labels = [];
        for ($case = 0; $case < 400; $case++) {
            $letters = mb_str_split($alphabets[$case % count($alphabets)]);
            $label = '';
            for ($length = $random->getInt(1, 12); $length > 0; $length--) {
                $label .= $letters[$random->getInt(0, count($letters) - 1)];
            }
            $labels[] = $label;
        }
        $list = (string) tempnam(sys_get_temp_dir(), 'acre-idn-');
        file_put_contents($list, implode("\n", array_map(fn (string $label): string => $label.'.com', $labels))."\n");
        $theirs = explode("\n", trim((string) shell_exec('LC_ALL=C.UTF-8 idn2 --no-tr46 < '.escapeshellarg($list))));
        unlink($list);
        self::assertCount(count($labels), $theirs);
        foreach ($labels as $place => $label) {
            self::assertSame($theirs[$place], DomainName::of($label.'.com')->ascii, $label);
        }
    }

    /** Source: RFC 3492 §7.1, read from Debian's `doc-rfc-std-proposed` under var/ when `--all` is asked for. */
    #[Group('published')]
    public function test_the_samples_of_rfc_3492(): void
    {
        $text = Published::rfc(3492);
        preg_match_all(
            '/\(([A-S])\) (.+?)\n(.*?)Punycode: (\S+?)(?:\\\\\s+(\S+))?\n/s',
            substr($text, (int) strpos($text, '7.1 Sample strings')),
            $samples,
            PREG_SET_ORDER,
        );
        self::assertGreaterThanOrEqual(18, count($samples));
        $tried = 0;
        foreach ($samples as $sample) {
            [$codes, $punycode] = [$sample[3], $sample[4].($sample[5] ?? '')];
            preg_match_all('/[uU]\+([0-9A-Fa-f]{4,6})/', $codes, $points);
            $label = implode('', array_map(fn (string $code): string => mb_chr((int) hexdec($code)), $points[1]));
            $lower = mb_strtolower($label);
            // Capitals, hyphens at an edge and characters outside IDNA: samples of the encoding alone, not of names.
            if (preg_match('/^[\p{L}\p{M}\p{N}]+$/u', $label) !== 1 || strlen($punycode) > 59) {
                continue;
            }
            $tried++;
            self::assertSame(
                'xn--'.strtolower($lower === $label ? $punycode : substr((string) idn_to_ascii($lower), 4)).'.com',
                DomainName::of($label.'.com')->ascii,
            );
        }
        self::assertGreaterThan(8, $tried);
    }
}
