<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Models\Docket;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use Illuminate\Contracts\Container\Container;
use OutOfBoundsException;

/** Every deed by its key. The next one is one class, and one line in the provider. */
final class Deeds
{
    /** @var array<string, Deed> */
    private array $made = [];

    /** @param  list<class-string<Deed>>  $classes */
    public function __construct(private readonly Container $container, private readonly array $classes)
    {
    }

    public function of(Docket $docket): Deed
    {
        return $this->named($docket->deed);
    }

    public function named(string $key): Deed
    {
        return $this->find($key) ?? throw new OutOfBoundsException("There is no deed '{$key}'.");
    }

    /**
     * The deed's own verdict, after what is the same for all of them.
     *
     * @param  array<string, mixed>  $terms
     */
    public static function judge(Deed $deed, RollCase $file, array $terms, Instant $now): Readiness
    {
        return match (true) {
            $file instanceof HeldCase => $deed->judge($file, $terms, $now)->with($file->preparedAlready()),
            $deed instanceof ForWatched => $deed->judge($file, $terms, $now),
            default => self::onlyWatched(),
        };
    }

    /**
     * The verdicts of many names: what judging them would ask for one by one is read at once.
     *
     * @param  array<int, RollCase>  $files
     * @param  array<string, mixed>  $terms
     * @return array<int, Readiness> by the same keys
     */
    public static function judgeAll(Deed $deed, array $files, array $terms, Instant $now): array
    {
        self::beforeJudging($deed, $files, $terms);

        return array_map(fn (RollCase $file): Readiness => self::judge($deed, $file, $terms, $now), $files);
    }

    /**
     * @param  array<int, RollCase>  $files
     * @param  array<string, mixed>  $terms
     */
    public static function beforeJudging(Deed $deed, array $files, array $terms): void
    {
        if ($deed instanceof JudgesByStore) {
            $deed->beforeJudging(array_values(array_filter($files, fn (RollCase $file): bool => $file instanceof HeldCase)), $terms);
        }
    }

    /**
     * @param  array<string, mixed>  $terms
     *
     * @throws DeedError when it can't be done to this name
     */
    public static function perform(
        Deed $deed,
        DocketLine $line,
        RollCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        return match (true) {
            $file instanceof HeldCase => $deed->perform($line, $file, $readiness, $terms, $now, $openings),
            $deed instanceof ForWatched => $deed->perform($line, $file, $readiness, $terms, $now, $openings),
            default => throw DeedError::shownHasChanged(),
        };
    }

    /**
     * @param  array<string, mixed>  $terms
     * @param  bool  $withPeople  whether people are called by their names, which no proof does
     * @return array{before: array<string, string>, after: array<string, string>} nothing of a name that it can't be done to
     */
    public static function beforeAndAfter(Deed $deed, RollCase $file, array $terms, bool $withPeople = false): array
    {
        return match (true) {
            $withPeople && $deed instanceof NamesPeople && $file instanceof HeldCase => $deed->shown($file, $terms),
            $file instanceof HeldCase => $deed->beforeAndAfter($file, $terms),
            $deed instanceof ForWatched => $deed->beforeAndAfter($file, $terms),
            default => ['before' => [], 'after' => []],
        };
    }

    public static function onlyWatched(): Readiness
    {
        return Readiness::of([Finding::of(BookFinding::OnlyWatched, Effect::Stops)], []);
    }

    public function find(string $key): ?Deed
    {
        foreach ($this->classes as $class) {
            if ($class::key() === $key) {
                $deed = $this->made[$key] ?? $this->container->make($class);
                assert($deed instanceof Deed);

                return $this->made[$key] = $deed;
            }
        }

        return null;
    }
}
