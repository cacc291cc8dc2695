<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Outside\Registrar\Redacted;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is kept of a frame never holds what opens a door: passwords (RFC 5730 §2.9.1.1) and codes (RFC 5731 §2.6). */
final class RedactedTest extends TestCase
{
    #[TestWith(['<pw>a canary</pw>', '<pw>[kept apart]</pw>'])]
    #[TestWith([
        '<clID>G-1</clID><pw>a canary</pw><newPW>a canary too</newPW>',
        '<clID>G-1</clID><pw>[kept apart]</pw><newPW>[kept apart]</newPW>',
    ])]
    #[TestWith(['<domain:pw roid="X-1">a canary</domain:pw>', '<domain:pw roid="X-1">[kept apart]</domain:pw>'])]
    #[TestWith(['<pw><![CDATA[a <canary>]]></pw>', '<pw>[kept apart]</pw>'])]
    #[TestWith(["<pw>a\n<!-- plain -->canary</pw >", '<pw>[kept apart]</pw >'])]
    #[TestWith([
        '<domain:pw/><domain:name>a.example</domain:name><domain:pw>a canary</domain:pw>',
        '<domain:pw/><domain:name>a.example</domain:name><domain:pw>[kept apart]</domain:pw>',
    ])]
    #[TestWith(['<domain:ext/><pwned>stays</pwned>', '<domain:ext/><pwned>stays</pwned>'])]
    public function test_what_opens_a_door_is_taken_out_and_the_rest_stays(string $frame, string $kept): void
    {
        self::assertSame($kept, Redacted::frame($frame));
    }
}
