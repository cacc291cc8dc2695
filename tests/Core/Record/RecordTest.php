<?php

declare(strict_types=1);

namespace Tests\Core\Record;

use Acre\Core\Contact\Field;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Record\FieldSeen;
use Acre\Core\Record\Record;
use Acre\Core\Record\Source;
use Acre\Core\Time\Instant;
use PHPUnit\Framework\TestCase;

/** What one source says of a name. */
final class RecordTest extends TestCase
{
    /**
     * @param  list<Status>  $statuses
     * @param  list<string>  $servers
     * @param  list<string>  $notices
     */
    private static function record(array $statuses, array $servers, array $notices = [], string $ends = '2027-01-01'): Record
    {
        return new Record(
            'a.com',
            Source::Registry,
            statuses: $statuses,
            ends: Instant::of($ends),
            servers: $servers,
            notices: $notices,
            holder: [
                'name' => FieldSeen::redacted('policy'),
                'street' => FieldSeen::redacted('policy'),
                'mailbox' => FieldSeen::redacted(null),
                'country' => FieldSeen::shown('GB'),
            ],
        );
    }

    public function test_order_and_notices_make_no_other_record(): void
    {
        $one = self::record([Status::ClientHold, Status::ServerHold], ['ns1.a.com', 'ns2.a.com']);
        self::assertSame(
            $one->digest(),
            self::record([Status::ServerHold, Status::ClientHold], ['ns2.a.com', 'ns1.a.com'], ['Terms of use'])->digest(),
        );
        self::assertNotSame($one->digest(), self::record([Status::ServerHold], ['ns2.a.com', 'ns1.a.com'])->digest());
        self::assertNotSame(
            $one->digest(),
            self::record([Status::ClientHold, Status::ServerHold], ['ns1.a.com', 'ns2.a.com'], ends: '2028-01-01')->digest(),
        );
    }

    public function test_another_ds_is_another_record(): void
    {
        $of = fn (array $delegates): Record => new Record(
            'a.com',
            Source::Registry,
            signed: true,
            delegates: array_values(array_filter($delegates, is_string(...))),
        );
        $one = $of(['1 13 2 AB', '2 13 2 CD']);
        self::assertSame($one->digest(), $of(['2 13 2 CD', '1 13 2 AB'])->digest());
        self::assertNotSame($one->digest(), $of(['1 13 2 AB'])->digest());
        self::assertSame([], $one->differsFrom($of(['2 13 2 CD', '1 13 2 AB'])));
        self::assertSame(['signed'], $one->differsFrom($of(['1 13 2 AB'])));
    }

    public function test_what_its_registrar_was_paid_for_makes_another_record_where_it_is_said(): void
    {
        $record = fn (?string $paid): string => (new Record(
            'a.com',
            Source::Registrar,
            ends: Instant::of('2027-01-01'),
            paid: $paid === null ? null : Instant::of($paid),
        ))->digest();
        self::assertNotSame($record('2027-01-01'), $record(null));
        self::assertSame($record('2027-01-01'), $record('2027-01-01'));
    }

    public function test_redacted_is_told_apart_from_absent(): void
    {
        $record = self::record([], []);
        self::assertTrue($record->field(Field::Name)->isRedacted);
        self::assertFalse($record->field(Field::Voice)->isRedacted);
        self::assertSame('GB', $record->field(Field::Country)->value);
        self::assertSame(['policy' => [Field::Name, Field::Street], '' => [Field::Mailbox]], $record->redactedByReason());
    }

    public function test_since_when_it_is_deleted_is_taken_too_early_rather_than_too_late(): void
    {
        $since = fn (?string $changed, ?string $before, Status ...$statuses): ?string => (new Record(
            'a.com',
            Source::Registry,
            statuses: array_values($statuses),
            changed: $changed === null ? null : Instant::of($changed),
        ))
            ->deletedSince(Instant::of('2026-10-06'), $before === null ? null : Instant::of($before))
            ?->date();
        $in = [Status::PendingDelete, Status::RedemptionPeriod];
        self::assertSame('2026-10-04', $since('2026-10-04', '2026-10-01', ...$in), 'its last change was it');
        self::assertSame('2026-10-01', $since('2026-03-04', '2026-10-01', ...$in), 'it was seen undeleted after that change');
        self::assertSame('2026-10-01', $since(null, '2026-10-01', ...$in));
        self::assertSame('2026-10-01', $since('2026-10-08', '2026-10-01', ...$in), 'changed since');
        self::assertSame('2026-10-04', $since('2026-10-04', null, ...$in));
        self::assertSame('2026-10-06', $since('2024-05-05', null, ...$in), 'no name stays deleted for years');
        self::assertSame('2026-10-06', $since(null, null, Status::PendingDelete));
        self::assertNull($since('2026-10-04', '2026-10-01', Status::ClientHold));
    }

    /** The words of the gTLD response profile beside RFC 9537 (from memory). */
    public function test_fields_are_known_by_what_directories_call_them(): void
    {
        self::assertSame(Field::Organisation, Field::ofRedaction('Registrant Organization'));
        self::assertSame(Field::Region, Field::ofRedaction('registrant state/province'));
        self::assertNull(Field::ofRedaction('Tech Name'));
        self::assertNull(Field::ofRedaction('Registry Domain ID'));
    }
}
