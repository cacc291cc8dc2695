<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Actions\Handover\HandOverNames;
use App\Models\Docket;
use Illuminate\Contracts\Container\Container;
use OutOfBoundsException;

/** Every deed by its key. The next one is one class, and one line here. */
final readonly class Deeds
{
    /** @var list<class-string<Deed>> */
    private const ALL = [HandOverNames::class];

    public function __construct(private Container $container)
    {
    }

    public function of(Docket $docket): Deed
    {
        return $this->named($docket->deed);
    }

    public function named(string $key): Deed
    {
        foreach (self::ALL as $class) {
            if ($class::key() === $key) {
                return $this->container->make($class);
            }
        }
        throw new OutOfBoundsException("There is no deed '{$key}'.");
    }
}
