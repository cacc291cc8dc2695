<?php

declare(strict_types=1);

namespace Tests\Feature;

use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Time\Instant;
use Acre\Core\Time\Span;
use Acre\Core\Title\Chain;
use Acre\Core\Title\Holding;
use App\View\FolioDrawing;
use App\View\Words;
use DOMDocument;
use DOMElement;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Core\Given;
use Tests\TestCase;

/** The drawings as they reach the page: whole SVG, within its box, with its text equal, and no label over another. */
final class DrawnTest extends TestCase
{
    private House $house;

    protected function setUp(): void
    {
        parent::setUp();
        $this->house = new House();
    }

    private static function chain(): Chain
    {
        return Chain::of([
            new Holding('Skerry 40718', 'Harrow & Tern', Span::of(Instant::of('2023-06-02'), Instant::of('2024-06-02')), null),
            new Holding('Skerry 51877', 'the Foundry', Span::since(Instant::of('2024-06-02')), 61),
        ]);
    }

    #[TestWith([1206])]
    #[TestWith([330])]
    public function test_a_folios_drawing_is_sound_in_every_phase(int $width): void
    {
        foreach (Intent::cases() as $intent) {
            foreach (['2026-11-02', '2028-04-27', '2026-10-01', '2026-09-01', '2026-08-05', null] as $ends) {
                $life = Given::life(created: '2012-02-29', ends: $ends, intent: $intent, moved: '2026-08-20', terms: Given::terms());
                $drawing = FolioDrawing::of($life, self::chain(), new Waiting(132, Instant::of('2026-10-20')), app(Words::class), $width);
                $svg = (string) $this->blade('<x-folio-line :drawing="$drawing" id="w"/>', ['drawing' => $drawing]);
                self::assertSound($svg, $width, $drawing->height());
            }
        }
    }

    private static function assertSound(string $svg, int $width, int $height): void
    {
        $document = new DOMDocument();
        self::assertTrue($document->loadXML($svg), $svg);
        self::assertNotSame('', trim($document->getElementsByTagName('desc')->item(0)->textContent ?? ''));
        /** @var DOMElement $text */
        foreach ($document->getElementsByTagName('text') as $text) {
            self::assertGreaterThan(0, (float) $text->getAttribute('y') + 0.1, $svg);
            self::assertLessThanOrEqual($height, (float) $text->getAttribute('y'), $text->textContent);
        }
        /** @var DOMElement $rect */
        foreach ($document->getElementsByTagName('rect') as $rect) {
            self::assertGreaterThanOrEqual(0, (float) $rect->getAttribute('x'));
            self::assertLessThanOrEqual($width + 0.5, (float) $rect->getAttribute('x') + (float) $rect->getAttribute('width'));
        }
        self::assertStringNotContainsString('style=', $svg);
    }

    public function test_the_text_equal_tells_what_the_drawing_shows(): void
    {
        $life = Given::life(
            created: '2021-04-27',
            ends: '2028-04-27',
            intent: Intent::ByItself,
            moved: '2026-08-20',
            terms: Given::terms(),
        );
        $drawing = FolioDrawing::of($life, self::chain(), null, app(Words::class), 1206);
        foreach (
            [
                '27 Apr 2028',
                'if renewed',
                'can’t be transferred again before 19 Oct',
                'charged 20 Apr 2028, £10.60',
                'to Skerry 51877',
                'registered',
                'today',
            ] as $part
        ) {
            self::assertStringContainsString($part, $drawing->told);
        }
    }

    public function test_a_row_of_the_roll_draws_its_shapes_and_says_them(): void
    {
        $this->house->name('bell.com', facts: ['ends_on' => Instant::of('2026-10-19'), 'intent' => 'by_itself']);
        $page = (string) $this->actingAs($this->house->reader)->get('/roll')->getContent();
        self::assertSame(1, substr_count($page, 'class="d-post"'));
        self::assertSame(1, substr_count($page, 'class="d-coin"'));
        self::assertStringContainsString('d-expected', $page);
        self::assertStringContainsString('registered 2 Nov 2020; paid until 19 Oct 2026; auto-renew', $page);
    }
}
