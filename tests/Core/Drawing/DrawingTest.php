<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Acre\Core\Drawing\Advances;
use Acre\Core\Drawing\Axis;
use Acre\Core\Drawing\Bar;
use Acre\Core\Drawing\BarKind;
use Acre\Core\Drawing\Bracket;
use Acre\Core\Drawing\Coin;
use Acre\Core\Drawing\Flag;
use Acre\Core\Drawing\Label;
use Acre\Core\Drawing\Labels;
use Acre\Core\Drawing\LifeLine;
use Acre\Core\Drawing\Post;
use Acre\Core\Drawing\Shape;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Lifecycle\Waiting;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Given;

final class DrawingTest extends TestCase
{
    /**
     * @param  list<Shape>  $shapes
     * @return list<string>
     */
    private static function kinds(array $shapes): array
    {
        return array_map(
            fn (Shape $shape): string => substr((string) strrchr($shape::class, '\\'), 1).
                ($shape instanceof Bar ? ':'.$shape->kind->value : ''),
            $shapes,
        );
    }

    public function test_the_rolls_axis_runs_in_whole_months_around_today(): void
    {
        $axis = Axis::ofTheRoll(Instant::of(Given::NOW));
        self::assertSame(['2026-04-01', '2028-04-01'], [$axis->from->iso(), $axis->until->iso()]);
        self::assertSame(
            ['Apr', '', '', 'Jul', '', '', 'Oct', '', '', '2027'],
            array_map(fn ($tick) => $tick->label, array_slice($axis->months(), 0, 10)),
        );
        self::assertSame(0.0, $axis->at(Instant::of('2020-01-01')));
        self::assertSame(100.0, $axis->at(Instant::of('2040-01-01')));
    }

    public function test_a_name_that_renews_has_a_coin_and_a_dashed_year(): void
    {
        $axis = Axis::ofTheRoll(Instant::of(Given::NOW));
        $shapes = LifeLine::of(Given::life(ends: '2026-11-30', intent: Intent::ByItself, terms: Given::terms()), $axis);
        self::assertSame(['Bar:paid', 'Bar:expected', 'Post', 'Coin'], self::kinds($shapes));
        [$paid, $expected, $post, $coin] = $shapes;
        self::assertTrue($paid instanceof Bar && $expected instanceof Bar && $post instanceof Post && $coin instanceof Coin);
        self::assertEqualsWithDelta($paid->x + $paid->width, $post->x, 0.01);
        self::assertEqualsWithDelta($post->x, $expected->x, 0.01);
        self::assertLessThan($post->x, $coin->x);
        self::assertSame('£', $coin->sign);
    }

    public function test_both_outcomes_are_drawn_while_one_is_presumed(): void
    {
        $axis = Axis::ofTheRoll(Instant::of(Given::NOW));
        self::assertSame(
            ['Bar:paid', 'Bar:late', 'Bar:expected', 'Post', 'Coin'],
            self::kinds(LifeLine::of(Given::life(ends: '2026-10-01', intent: Intent::ByItself), $axis)),
        );
        self::assertSame(['Bar:paid', 'Bar:late', 'Post'], self::kinds(LifeLine::of(Given::life(ends: '2026-09-22'), $axis)));
    }

    public function test_a_term_that_was_cut_short_is_drawn_to_its_deletion(): void
    {
        $axis = Axis::ofTheRoll(Instant::of(Given::NOW));
        $shapes = LifeLine::of(
            Given::life(
                ends: '2027-11-30',
                intent: Intent::ByItself,
                statuses: [Status::RedemptionPeriod],
                terms: Given::terms(),
                deleted: '2026-10-01',
            ),
            $axis,
        );
        self::assertSame(['Bar:paid', 'Bar:late', 'Post'], self::kinds($shapes), 'no charge and no other year will come');
        [$paid, $late, $post] = $shapes;
        self::assertTrue($paid instanceof Bar && $late instanceof Bar && $post instanceof Post);
        self::assertEqualsWithDelta($axis->at(Instant::of('2026-10-01')), $post->x, 0.01);
        self::assertEqualsWithDelta($post->x, $paid->x + $paid->width, 0.01);
        self::assertEqualsWithDelta($axis->at(Instant::of('2026-10-31')), $late->x + $late->width, 0.01);
    }

    public function test_holds_deadlines_and_movements_have_shapes_of_their_own(): void
    {
        $axis = Axis::ofTheRoll(Instant::of(Given::NOW));
        $verify = LifeLine::of(Given::life(ends: '2027-09-24'), $axis, verifyBy: Instant::of('2026-10-09'));
        self::assertSame(['Flag'], array_values(array_filter(self::kinds($verify), fn (string $kind): bool => $kind === 'Flag')));
        self::assertNotContains(
            'Flag',
            self::kinds(LifeLine::of(Given::life(ends: '2027-09-24'), $axis, verifyBy: Instant::of('2026-10-05'))),
            'what has passed is no deadline',
        );
        $shapes = LifeLine::of(
            Given::life(moved: '2026-08-20', intent: Intent::AskClient),
            $axis,
            new Waiting(1, Instant::of('2026-10-20')),
        );
        self::assertSame(['Bar:paid', 'Post', 'Flag', 'Bracket', 'Arrow', 'Flag'], self::kinds($shapes));
        self::assertTrue($shapes[3] instanceof Bracket && $shapes[5] instanceof Flag);
        self::assertSame($axis->at(Instant::of('2026-08-20')), $shapes[3]->x);
        self::assertSame($axis->at(Instant::of('2026-10-20')), $shapes[5]->x);
    }

    public function test_a_bar_never_leaves_the_drawing(): void
    {
        $axis = Axis::ofTheRoll(Instant::of(Given::NOW));
        foreach (['2026-04-02', '2026-10-19', '2031-01-01'] as $ends) {
            foreach (LifeLine::of(Given::life(ends: $ends, intent: Intent::ByItself), $axis) as $shape) {
                if ($shape instanceof Bar) {
                    self::assertGreaterThan(0, $shape->width, $shape->kind === BarKind::Paid ? 'paid' : $shape->kind->value);
                    self::assertLessThanOrEqual(100.01, $shape->x + $shape->width);
                }
            }
        }
    }

    public function test_widths_come_from_the_font(): void
    {
        self::assertSame(Advances::width('00', false, 10), Advances::width('71', false, 10));
        self::assertGreaterThan(Advances::width('Oct', false, 10), Advances::width('Oct', true, 10));
        self::assertSame(10.0, Advances::width('鐘', false, 10));
    }

    public function test_a_label_keeps_off_a_line_as_long_as_there_is_room(): void
    {
        [$placed] = Labels::place([new Label('27 Apr 2028', 115.0)], 400.0, [120.0]);
        self::assertLessThan(118.0, $placed->left + $placed->width);
    }

    /** Seeded: whatever labels there are, none lies over another one of its lane, and none leaves the drawing. */
    public function test_labels_never_overlap(): void
    {
        $random = new Randomizer(new Mt19937(1918));
        $words = ['registered', 'handed to the Foundry', '27 Apr 2028', 'can’t be transferred again before 19 Oct', 'if renewed', 'today'];
        for ($case = 0; $case < 500; $case++) {
            $width = $random->getInt(0, 1) === 1 ? 1208.0 : 340.0;
            $labels = [];
            for ($count = $random->getInt(0, 12); $count > 0; $count--) {
                $reach = $random->getInt(0, 2) === 0 ? $random->getInt(0, 80) : 0;
                $labels[] = new Label(
                    $words[$random->getInt(0, 5)],
                    $random->getInt(0, (int) $width - $reach),
                    $random->getInt(0, 1) === 1 ? 'strong' : 'plain',
                    $reach,
                );
            }
            $placed = Labels::place($labels, $width, $case % 2 === 0 ? [$width / 2] : []);
            self::assertCount(count($labels), $placed);
            foreach ($placed as $one => $label) {
                self::assertGreaterThanOrEqual(0.0, $label->left);
                self::assertLessThanOrEqual($width + 0.1, $label->left + $label->width);
                foreach (array_slice($placed, $one + 1) as $other) {
                    self::assertTrue(
                        $label->lane !== $other->lane ||
                            $label->left + $label->width <= $other->left ||
                            $other->left + $other->width <= $label->left,
                    );
                }
            }
        }
    }
}
