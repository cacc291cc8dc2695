<?php

declare(strict_types=1);

namespace Tests\Reference;

use Acre\Core\Lifecycle\Status;
use Acre\Wire\Rdap\RdapAnswer;
use Acre\Wire\Rdap\RdapBootstrap;
use Acre\Wire\Rdap\RdapDomain;
use Acre\Wire\Rdap\RdapRefusal;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

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

    /** Source: RFC 9224 §4, its example of a registry of domain names, and what it says beside it. */
    #[Group('published')]
    public function test_the_example_of_rfc_9224_answers_as_it_says(): void
    {
        $registries = array_values(array_filter(Published::json(9224), fn (array $example): bool => str_contains((string) json_encode($example['services'] ?? ''), '"net"')));
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
