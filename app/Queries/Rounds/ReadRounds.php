<?php

declare(strict_types=1);

namespace App\Queries\Rounds;

use Acre\Core\Time\Instant;
use App\Models\User;
use App\Queries\Rounds\Kinds\AccountsOrphaned;
use App\Queries\Rounds\Kinds\AccountsUnlocked;
use App\Queries\Rounds\Kinds\Amiss;
use App\Queries\Rounds\Kinds\AskClients;
use App\Queries\Rounds\Kinds\CardsEnding;
use App\Queries\Rounds\Kinds\Charges;
use App\Queries\Rounds\Kinds\CustodyToHand;
use App\Queries\Rounds\Kinds\Drifted;
use App\Queries\Rounds\Kinds\Ends;
use App\Queries\Rounds\Kinds\GatesAway;
use App\Queries\Rounds\Kinds\GatesSuspended;
use App\Queries\Rounds\Kinds\HeldNames;
use App\Queries\Rounds\Kinds\HoldsEnding;
use App\Queries\Rounds\Kinds\LettersReturned;
use App\Queries\Rounds\Kinds\LettersToAnswer;
use App\Queries\Rounds\Kinds\ListsWithRefusals;
use App\Queries\Rounds\Kinds\LocksLifted;
use App\Queries\Rounds\Kinds\MailboxesLapsing;
use App\Queries\Rounds\Kinds\MissingNames;
use App\Queries\Rounds\Kinds\MoneyLacks;
use App\Queries\Rounds\Kinds\OpenDockets;
use App\Queries\Rounds\Kinds\PagesAmiss;
use App\Queries\Rounds\Kinds\PointsNowhere;
use App\Queries\Rounds\Kinds\PricesDiffer;
use App\Queries\Rounds\Kinds\PrivacyEnding;
use App\Queries\Rounds\Kinds\RenewsOtherwise;
use App\Queries\Rounds\Kinds\StoppedWork;
use App\Queries\Rounds\Kinds\Unconfirmed;
use App\Queries\Rounds\Kinds\Verifications;
use App\Support\Row;
use Illuminate\Contracts\Container\Container;
use Illuminate\Database\Connection;

/** Everything that is due today and in the coming weeks, of every kind, without what somebody has said is done or put off. */
final readonly class ReadRounds
{
    /** Days. */
    public const WEEKS = 35;

    /** Things of a kind among which one is looked up by its key. */
    private const FOUND = 400;

    /** @var list<class-string<RoundsKind>> */
    private const KINDS = [
        Amiss::class,
        MailboxesLapsing::class,
        Verifications::class,
        LettersToAnswer::class,
        Drifted::class,
        PointsNowhere::class,
        PagesAmiss::class,
        MissingNames::class,
        HeldNames::class,
        MoneyLacks::class,
        RenewsOtherwise::class,
        PricesDiffer::class,
        Ends::class,
        AskClients::class,
        OpenDockets::class,
        LettersReturned::class,
        ListsWithRefusals::class,
        Unconfirmed::class,
        Charges::class,
        CardsEnding::class,
        AccountsOrphaned::class,
        CustodyToHand::class,
        PrivacyEnding::class,
        HoldsEnding::class,
        LocksLifted::class,
        AccountsUnlocked::class,
        GatesSuspended::class,
        GatesAway::class,
        StoppedWork::class,
    ];

    public function __construct(private Connection $database, private Container $container)
    {
    }

    /** @param  User|null  $mine  only what was given to them, or to nobody yet; null: everybody's */
    public function handle(Instant $today, ?User $mine): Rounds
    {
        $until = $today->plusDays(self::WEEKS);
        $kinds = array_map($this->container->make(...), self::KINDS);
        $due = array_map(fn (RoundsKind $kind): array => $kind->due($today, $until, RoundsKind::MOST), $kinds);
        $marks = $this->marks(array_merge(...$due));
        $items = [];
        $isCut = false;
        foreach ($kinds as $at => $kind) {
            $most = RoundsKind::MOST;
            $shown = $this->shown($due[$at], $marks, $today, $mine);
            // What somebody has dealt with makes room for what comes after it.
            while (count($due[$at]) >= $most && count($shown) < RoundsKind::MOST) {
                $most *= 2;
                $due[$at] = $kind->due($today, $until, $most);
                $marks += $this->marks($due[$at]);
                $shown = $this->shown($due[$at], $marks, $today, $mine);
            }
            $isCut = $isCut || count($due[$at]) >= $most;
            $items = [...$items, ...array_slice($shown, 0, RoundsKind::MOST)];
        }
        $order = array_flip(array_column(RoundsSection::cases(), 'value'));
        usort(
            $items,
            fn (RoundsItem $a, RoundsItem $b): int => [
                $order[$a->section->value],
                $a->due->epoch,
                $a->last->epoch ?? 0,
                -$a->names,
                $a->key,
            ] <=> [$order[$b->section->value], $b->due->epoch, $b->last->epoch ?? 0, -$b->names, $b->key],
        );

        return new Rounds($today, $items, $marks, $isCut);
    }

    /** @return list<string> the keys of what was said to be done, and is due as the facts have it */
    public function dueAgain(Instant $today): array
    {
        $rounds = $this->handle($today, null);

        return array_values(
            array_filter(
                array_map(fn (RoundsItem $item): string => $item->key, $rounds->items),
                fn (string $key): bool => ($rounds->marks[$key] ?? null)?->doneOn !== null,
            ),
        );
    }

    /** The thing of that key, whatever somebody said of it; null: it is not due any more. */
    public function find(string $key, Instant $today): ?RoundsItem
    {
        foreach (self::KINDS as $kind) {
            foreach ($this->container->make($kind)->due($today, $today->plusDays(self::WEEKS), self::FOUND) as $item) {
                if ($item->key === $key) {
                    return $item;
                }
            }
        }

        return null;
    }

    /**
     * @param  list<RoundsItem>  $due
     * @param  array<string, RoundsMark>  $marks
     * @return list<RoundsItem> those that nobody has done, put off or, where only one's own are wanted, been given
     */
    private function shown(array $due, array $marks, Instant $today, ?User $mine): array
    {
        return array_values(
            array_filter($due, function (RoundsItem $item) use ($marks, $today, $mine): bool {
                $mark = $marks[$item->key] ?? null;

                return $mark === null ||
                    (! $mark->hides($item, $today) && ($mine === null || $mark->givenTo === null || $mark->givenTo === $mine->id));
            }),
        );
    }

    /**
     * @param  list<RoundsItem>  $items
     * @return array<string, RoundsMark> by key
     */
    private function marks(array $items): array
    {
        $keys = array_map(fn (RoundsItem $item): string => $item->key, $items);
        $found = [];
        $rows = $this->database->select(
            'SELECT m.thing, m.done_on, m.off_until, m.given_to, m.because, u.name, b.name AS by FROM rounds_marks m
                JOIN users b ON b.id = m.by_id LEFT JOIN users u ON u.id = m.given_to
                WHERE m.thing IN (SELECT json_array_elements_text(?::json))',
            [json_encode($keys, JSON_THROW_ON_ERROR)],
        );
        foreach (Row::all($rows) as $row) {
            $found[$row->text('thing')] = new RoundsMark(
                $row->instant('done_on')?->toDay(),
                $row->instant('off_until')?->toDay(),
                $row->intOrNull('given_to'),
                $row->textOrNull('name') ?? '',
                $row->text('because'),
                $row->text('by'),
            );
        }

        return $found;
    }
}
