<?php

declare(strict_types=1);

namespace Tests\Wire;

use Acre\Wire\Json\JsonError;
use Acre\Wire\Json\JsonNode;
use Acre\Wire\Json\JsonPlace;
use DateTimeZone;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class JsonTest extends TestCase
{
    #[TestWith(['', 0])]
    #[TestWith(['{"a":1,}', 7])]
    #[TestWith(['{"a":[1,2', 9])]
    #[TestWith(['{"a" 1}', 5])]
    #[TestWith(['[1 2]', 3])]
    #[TestWith(['{"a":"\x"}', 5])]
    #[TestWith(['{"a":tru}', 5])]
    #[TestWith(['{"a":01}', 5])]
    #[TestWith(['{"a":1} x', 8])]
    #[TestWith(['[1}', 2])]
    #[TestWith(["{\"a\":\"é\xff\"}", 8])]
    public function test_it_says_at_which_byte_a_text_stops_being_json(string $text, int $byte): void
    {
        $this->expectException(JsonError::class);
        $this->expectExceptionMessageMatches("/ at byte {$byte}\\.$/");
        JsonNode::read($text, 1000);
    }

    public function test_what_php_reads_has_no_such_place_and_what_it_refuses_has_one(): void
    {
        $random = new Randomizer(new Mt19937(9083));
        $whole = '{"a":[1,-2.5e3,{"b":"\u00e9\n e"},[],{}],"c":null,"d":true}';
        $refused = 0;
        for ($run = 0; $run < 3000; $run++) {
            $at = $random->getInt(0, strlen($whole) - 1);
            $text =
                substr($whole, 0, $at).
                substr('{}[]",:1 xe-\\', $random->getInt(0, 12), $random->getInt(0, 2)).
                substr($whole, $at + $random->getInt(0, 2));
            json_decode($text, true, 32);
            $place = JsonPlace::ofError($text, 32);
            if (json_last_error() === JSON_ERROR_NONE) {
                self::assertSame(strlen($text), $place, $text);
            } else {
                // What stands before that place could still become a JSON text: it is wrong only at its own end.
                self::assertSame($place, JsonPlace::ofError(substr($text, 0, $place), 32), $text);
                $refused++;
            }
        }
        self::assertGreaterThan(1000, $refused);
    }

    public function test_members_are_asked_for_by_type_and_refused_with_their_path(): void
    {
        $node = JsonNode::read(
            '{"name":"a","roles":["x",1],"inner":{"when":"2026-02-31T00:00:00Z","at":"2026-10-06t09:00:00.123+02:00"},"list":{},"no":null}',
            1000,
        );
        self::assertSame(['a', null, []], [$node->text('name'), $node->textOrNull('no'), $node->nodes('nothing')]);
        self::assertSame(
            '2026-10-06T07:00:00Z',
            $node->nodeOrNull('inner')?->time('at')->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
        );
        foreach (
            [
                '$.roles[1] should be a text, and is “1”' => fn () => $node->texts('roles'),
                '$.inner.when should be a date and time of RFC 3339' => fn () => $node->nodeOrNull('inner')->time('when'),
                '$.name should be an object, and is “"a"”' => fn () => $node->nodeOrNull('name'),
                '$.inner.gone is missing' => fn () => $node->nodeOrNull('inner')->text('gone'),
            ] as $said => $ask
        ) {
            try {
                $ask();
                self::fail($said);
            } catch (JsonError $e) {
                self::assertStringContainsString($said, $e->getMessage());
            }
        }
    }

    public function test_long_and_deep_texts_are_refused(): void
    {
        foreach ([str_repeat(' ', 2000) => '2000 bytes', str_repeat('[', 60) => 'at byte 31'] as $text => $said) {
            try {
                JsonNode::read($text, 1000);
                self::fail($said);
            } catch (JsonError $e) {
                self::assertStringContainsString($said, $e->getMessage());
            }
        }
    }
}
