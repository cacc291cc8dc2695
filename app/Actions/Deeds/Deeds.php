<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Books\ChangeIntent;
use App\Actions\Books\ChangeWords;
use App\Actions\Books\GiveToClient;
use App\Actions\Books\RecordRenewal;
use App\Actions\Books\RemoveNames;
use App\Actions\Books\UndoDocket;
use App\Actions\Handover\HandOverNames;
use App\Actions\Outside\KeepOurRecord;
use App\Actions\Outside\UpdateOurRecord;
use App\Actions\Registrar\ChangeAutoRenew;
use App\Actions\Registrar\ChangeDisclosure;
use App\Actions\Registrar\ChangeLock;
use App\Actions\Registrar\ChangeRegistrant;
use App\Actions\Registrar\RequestAuthCode;
use App\Actions\Registrar\RestoreServers;
use App\Models\Docket;
use App\Queries\Names\CaseFile;
use Illuminate\Contracts\Container\Container;
use OutOfBoundsException;

/** Every deed by its key. The next one is one class, and one line here. */
final class Deeds
{
    /** @var list<class-string<Deed>> */
    private const ALL = [HandOverNames::class, GiveToClient::class, ChangeIntent::class, RecordRenewal::class, ChangeWords::class, RemoveNames::class, ChangeLock::class, ChangeAutoRenew::class, ChangeDisclosure::class, ChangeRegistrant::class, RequestAuthCode::class, RestoreServers::class, UpdateOurRecord::class, KeepOurRecord::class, UndoDocket::class];

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

    /**
     * The deed's own verdict, after what is the same for all of them.
     *
     * @param  array<string, mixed>  $terms
     */
    public static function judge(Deed $deed, CaseFile $file, array $terms, Instant $now): Readiness
    {
        return $file->watched !== null && ! $deed instanceof ForWatched ? Readiness::of([Finding::of(BookFinding::OnlyWatched, Effect::Stops)], []) : $deed->judge($file, $terms, $now)->with($file->preparedAlready());
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
