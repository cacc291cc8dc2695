<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Lifecycle\Status;
use Acre\Core\Record\Source;
use Acre\Wire\Json\JsonError;
use Acre\Wire\Rdap\RdapAnswer;
use Acre\Wire\Rdap\RdapBootstrap;
use Acre\Wire\Rdap\RdapDomain;
use Acre\Wire\Rdap\RdapRefusal;
use App\Outside\Directory\RecordOfRdap;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Directories: the RFCs' own examples and tables. */
final class RdapReferenceTest extends TestCase
{
    /** Source: RFC 9083, the examples of §5.3 and §6; a few of its forty are elided and are no JSON. */
    #[Group('published')]
    public function test_the_examples_of_rfc_9083_are_read(): void
    {
        $domains = $refusals = 0;
        foreach (Published::json(9083) as $example) {
            $body = (string) json_encode($example);
            if (($example['objectClassName'] ?? '') === 'domain' && is_string($example['ldhName'] ?? null)) {
                $domain = RdapAnswer::read($body, strtolower($example['ldhName']));
                self::assertInstanceOf(RdapDomain::class, $domain);
                self::assertNotSame([], $domain->entities);
                $domains++;
            } elseif (isset($example['errorCode'])) {
                self::assertInstanceOf(RdapRefusal::class, RdapAnswer::read($body, 'example.com'));
                $refusals++;
            }
        }
        self::assertGreaterThanOrEqual(1, $domains);
        self::assertGreaterThanOrEqual(1, $refusals);
    }

    /**
     * Source: RFC 9083 §5.3, its examples of a name with members left out, which a directory may do: all is read but a name server
     * that isn't named, because a list of them that lacks one would say that they were changed.
     */
    #[Group('published')]
    public function test_whatever_a_directory_leaves_out_the_rest_is_read(): void
    {
        $examples = array_values(
            array_filter(
                Published::json(9083),
                fn (array $example): bool => ($example['objectClassName'] ?? '') === 'domain' && is_string($example['ldhName'] ?? null),
            ),
        );
        self::assertNotSame([], $examples);
        $random = new Randomizer(new Mt19937(9083));
        $read = 0;
        for ($run = 0; $run < 2_000; $run++) {
            $example = $examples[$random->getInt(0, count($examples) - 1)];
            $name = is_string($example['ldhName'] ?? null) ? strtolower($example['ldhName']) : '';
            for ($one = $random->getInt(1, 4); $one > 0; $one--) {
                $example = self::without($example, $random);
            }
            try {
                $domain = RdapAnswer::read((string) json_encode($example), $name);
                self::assertInstanceOf(RdapDomain::class, $domain);
                RecordOfRdap::read($domain, Source::Registry);
                $read++;
            } catch (JsonError $e) {
                self::assertMatchesRegularExpression('/^\$\.(ldhName|nameservers\[\d+\]\.ldhName) is missing\.$/', $e->getMessage());
            }
        }
        self::assertGreaterThan(1_000, $read);
    }

    /**
     * @param  array<array-key, mixed>  $value
     * @return array<array-key, mixed> without one of its members, at whatever depth; what it is, and cards, which are read as RFC 7095 has
     *     them, stay whole
     */
    private static function without(array $value, Randomizer $random): array
    {
        $keys = array_values(array_diff(array_keys($value), ['objectClassName', 'vcardArray']));
        if ($keys === []) {
            return $value;
        }
        $key = $keys[$random->getInt(0, count($keys) - 1)];
        if (is_array($value[$key]) && $value[$key] !== [] && $random->getInt(0, 2) > 0) {
            $value[$key] = self::without($value[$key], $random);

            return $value;
        }
        $isList = array_is_list($value);
        unset($value[$key]);

        return $isList ? array_values($value) : $value;
    }

    /** Source: RFC 9224 §4, its example of a registry of domain names, and what it says beside it. */
    #[Group('published')]
    public function test_the_example_of_rfc_9224_answers_as_it_says(): void
    {
        $registries = array_values(
            array_filter(
                Published::json(9224),
                fn (array $example): bool => str_contains((string) json_encode($example['services'] ?? ''), '"net"'),
            ),
        );
        self::assertNotSame([], $registries);
        $bootstrap = RdapBootstrap::read((string) json_encode($registries[0]));
        self::assertSame(['https://registry.example.com/myrdap/'], $bootstrap->for('a.b.example.com'));
        self::assertSame('https://example.org/', $bootstrap->for('a.example.org')[0]);
    }

    /** Source: RFC 8056 §2, its whole table of what EPP's statuses are called in RDAP. */
    #[Group('published')]
    public function test_every_status_of_rfc_8056_means_what_epp_means(): void
    {
        preg_match_all('/^\s+(\w+)\s+=\s+([a-z ]+?)\s*;?\s*$/m', Published::rfc(8056), $pairs, PREG_SET_ORDER);
        self::assertGreaterThan(20, count($pairs));
        foreach ($pairs as [, $epp, $rdap]) {
            // A name has no "linked": that is what hosts and contacts are.
            if ($epp !== 'linked') {
                self::assertSame($epp, Status::ofDirectory($rdap)?->value, "{$epp} = {$rdap}");
            }
        }
    }
}
