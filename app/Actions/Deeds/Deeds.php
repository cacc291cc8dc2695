<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Models\Docket;
use App\Queries\Names\CaseFile;
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
    public static function judge(Deed $deed, CaseFile $file, array $terms, Instant $now): Readiness
    {
        return $file->watched !== null && ! ($deed instanceof ForWatched)
            ? Readiness::of([Finding::of(BookFinding::OnlyWatched, Effect::Stops)], [])
            : $deed->judge($file, $terms, $now)->with($file->preparedAlready());
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
