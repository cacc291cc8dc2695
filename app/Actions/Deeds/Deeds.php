<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use App\Actions\Books\ChangeIntent;
use App\Actions\Books\ChangeWords;
use App\Actions\Books\GiveToClient;
use App\Actions\Books\TakeBack;
use App\Actions\Handover\HandOverNames;
use App\Actions\Outside\LeaveDrift;
use App\Actions\Outside\TakeObserved;
use App\Models\Docket;
use Illuminate\Contracts\Container\Container;
use OutOfBoundsException;

/** Every deed by its key. The next one is one class, and one line here. */
final class Deeds
{
    /** @var list<class-string<Deed>> */
    private const ALL = [HandOverNames::class, GiveToClient::class, ChangeIntent::class, ChangeWords::class, TakeObserved::class, LeaveDrift::class, TakeBack::class];

    /** @var array<string, Deed> */
    private array $made = [];

    public function __construct(private readonly Container $container)
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

    public function find(string $key): ?Deed
    {
        foreach (self::ALL as $class) {
            if ($class::key() === $key) {
                return $this->made[$key] ??= $this->container->make($class);
            }
        }

        return null;
    }
}
