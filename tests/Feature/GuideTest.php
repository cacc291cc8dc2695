<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/** The user’s guide, and what its own links promise. */
final class GuideTest extends TestCase
{
    public function test_whoever_signs_in_reads_it_and_each_picture_and_anchor_is_there(): void
    {
        $this->get('/guide')->assertRedirect('/sign-in');
        $this->actingAs((new House)->reader);
        $this->get('/words')->assertOk()->assertSee('href="'.route('guide').'"', false);
        $page = (string) $this->get('/guide')->assertOk()->assertSee('Eighteen jobs of a working week')->getContent();
        self::assertGreaterThanOrEqual(12, preg_match_all('/<img src="([^"]+)" alt="([^"]+)"/', $page, $pictures));
        foreach ($pictures[1] as $picture) {
            $this->get($picture)->assertOk()->assertHeader('Content-Type', 'image/png');
        }
        self::assertSame(18, preg_match_all('/href="#(\d[^"]+)"/', $page, $anchors));
        foreach ($anchors[1] as $anchor) {
            self::assertStringContainsString('id="'.rawurldecode($anchor).'"', $page);
        }
    }

    public function test_nothing_but_pictures_of_the_guide_is_given_away(): void
    {
        $this->actingAs((new House)->reader);
        foreach (['none.png', '..%2F..%2F.env', 'roll.png%00', '.env'] as $picture) {
            $this->get("/guide/{$picture}")->assertNotFound();
        }
    }
}
