<?php

declare(strict_types=1);

namespace App\Actions\Registrar;

use Acre\Core\Contact\Contact;
use Acre\Core\Contact\Field;
use Acre\Core\Disclosure\DisclosureChange;
use Acre\Core\Disclosure\DisclosureFinding;
use Acre\Core\Disclosure\Pattern;
use Acre\Core\Disclosure\PublishedRecord;
use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Movement\ExtraKind;
use Acre\Core\Movement\Readiness;
use Acre\Core\Record\Record;
use Acre\Core\Record\RecordDifference;
use Acre\Core\Rulebook\Published;
use Acre\Core\Rulebook\Rulebook;
use Acre\Core\Time\Instant;
use Acre\Core\Time\TimeError;
use App\Actions\Deeds\DeedAtRegistrar;
use App\Actions\Deeds\Illustrated;
use App\Actions\Deeds\PendingWrites;
use App\Actions\Deeds\SeenOutside;
use App\Actions\Gates\GateOrders;
use App\Models\Account;
use App\Models\DocketLine;
use App\Models\LineState;
use App\Models\Pattern as PatternRow;
use App\Models\Registration;
use App\Outside\Registrar\OrderKind;
use App\Queries\Contacts\Holders;
use App\Queries\Contacts\RecordsCompared;
use App\Queries\Dockets\Slips;
use App\Queries\Names\CaseFiles;
use App\Queries\Names\HeldCase;
use App\Support\TradeClock;
use Illuminate\Support\Facades\DB;

/** Which fields of the holder the world reads: a pattern, as far as suffix and registrar let it. */
final class ChangeDisclosure extends DeedAtRegistrar implements Illustrated, SeenOutside
{
    /** @var array<int, Contact> by number, of the names that are completed next */
    private array $held = [];

    /** @var array<int, bool> whether a pattern is still there */
    private array $patterns = [];

    public function __construct(
        Rulebook $book,
        GateOrders $orders,
        Slips $slips,
        private readonly Holders $holders,
        private readonly CaseFiles $files,
        TradeClock $clock,
        private readonly RecordsCompared $compared,
    ) {
        parent::__construct($book, $orders, $slips, $clock);
    }

    public static function key(): string
    {
        return 'change_disclosure';
    }

    public function choices(): array
    {
        /** @var array<int, string> $patterns */
        $patterns = PatternRow::query()->orderBy('name')->limit(500)->pluck('name', 'id')->all();

        return $patterns;
    }

    /** The fields are those of the pattern on the day; a pattern that changes later changes no docket. */
    public function terms(array $said): ?array
    {
        $id = $said['pattern'] ?? null;
        $pattern = is_numeric($id) ? PatternRow::query()->find((int) $id) : null;
        if ($pattern === null) {
            return null;
        }
        $words = is_string($said['consent'] ?? null) ? mb_substr(trim($said['consent']), 0, 2_000) : '';

        return [
            'pattern' => $pattern->id,
            'called' => $pattern->name,
            'fields' => $pattern->value()->words(),
            'consent' => $words === '' ? null : ['words' => $words, 'on' => $this->day($said['consent_on'] ?? null)],
        ];
    }

    public function said(array $terms): array
    {
        $consent = is_array($terms['consent'] ?? null) ? $terms['consent'] : [];
        $text = fn (mixed $value): string => is_scalar($value) ? (string) $value : '';

        return array_filter(
            [
                'pattern' => $text($terms['pattern'] ?? ''),
                'consent' => $text($consent['words'] ?? ''),
                'consent_on' => $text($consent['on'] ?? ''),
            ],
            fn (string $word): bool => $word !== '',
        );
    }

    public function perform(
        DocketLine $line,
        HeldCase $file,
        Readiness $readiness,
        array $terms,
        Instant $now,
        PendingWrites $openings,
    ): LineState {
        $this->keepConsent($line, $file, $terms);

        return parent::perform($line, $file, $readiness, $terms, $now, $openings);
    }

    public function readAhead(array $files, Instant $on): void
    {
        parent::readAhead($files, $on);
        $this->held = $this->holders->of($files);
        $this->patterns = [];
    }

    public function isSeen(DocketLine $line, array $terms, Record $record): bool
    {
        $file = $this->files->held([$line->name_id], $this->clock->now())[$line->name_id] ?? null;
        $holder = $file?->guard === null ? null : $this->holders->of([$file])[$file->guard->contact] ?? null;

        return $file !== null &&
            $holder !== null &&
            $record->holder !== [] &&
            RecordDifference::fields(
                PublishedRecord::of(
                    $holder,
                    $this->told($file, $terms),
                    $this->published($file, $this->clock->now()),
                    self::hasPrivacy($file),
                ),
                $record,
            ) === [];
    }

    public function picture(array $files, array $terms, Instant $now): array
    {
        $one = count($files) === 1 ? $files[0] : null;

        [$fields, $seen] = $this->compared->of($files, fn (HeldCase $file): Pattern => $this->told($file, $terms), $now);

        return ['fields' => $fields, 'seen' => $seen, 'one' => $one, 'count' => count($files)];
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        return [
            'before' => ['shown' => $file->told === null ? self::word('not_known') : self::fields($file->told->fields)],
            'after' => ['shown' => self::fields($this->told($file, $terms)->fields)],
        ];
    }

    /**
     * What this name's registrar is told: the pattern, or the nearest step that shows nothing beyond it.
     *
     * @param  array<string, mixed>  $terms
     */
    public function told(HeldCase $file, array $terms): Pattern
    {
        return $file->steps->nearest(self::wish($terms));
    }

    protected function order(array $terms): OrderKind
    {
        return OrderKind::Disclose;
    }

    protected function orderTerms(HeldCase $file, array $terms): array
    {
        return ['shown' => implode(' ', $this->told($file, $terms)->words())];
    }

    protected function slipValues(Account $account, array $lines, array $terms): array
    {
        $told = $account->registrar->steps()->nearest(self::wish($terms));

        return [
            self::word('slip_shown') => self::fields($told->fields),
            self::word('slip_hidden') => self::fields(
                array_values(array_filter(Field::cases(), fn (Field $field): bool => ! $told->shows($field))),
            ),
        ];
    }

    protected function isSo(HeldCase $file, array $terms): bool
    {
        return $file->told !== null && $file->told->equals($this->told($file, $terms));
    }

    protected function against(HeldCase $file, array $terms, Instant $now): array
    {
        if ($file->guard === null) {
            return [Finding::of(DisclosureFinding::NobodyToShow, Effect::NotKnown)];
        }
        $change = new DisclosureChange(
            $file->guard,
            self::wish($terms),
            $this->told($file, $terms),
            $file->told,
            $this->published($file, $now),
            self::hasPrivacy($file),
            is_array($terms['consent'] ?? null),
        );

        return $change->findings($file->facts->name->suffix(), $file->account->registrarName);
    }

    protected function write(Registration $registration, HeldCase $file, array $terms): array
    {
        $told = $this->told($file, $terms);
        $registration->shown = $told->words();
        $pattern = is_int($terms['pattern'] ?? null) ? $terms['pattern'] : 0;
        $registration->pattern_id = ($this->patterns[$pattern] ??= PatternRow::query()->whereKey($pattern)->exists()) ? $pattern : null;
        $holder = $file->guard === null ? null : $this->held[$file->guard->contact] ?? null;
        if ($holder !== null) {
            $registration->disclosure = PublishedRecord::of(
                $holder,
                $told,
                $this->published($file, $this->clock->now()),
                self::hasPrivacy($file),
            )->inOneWord();
        }

        return ['shown'];
    }

    protected function inWords(array $terms): array
    {
        return ['pattern' => is_string($terms['called'] ?? null) ? $terms['called'] : ''];
    }

    /**
     * Once a docket and holder, on whose word more is shown.
     *
     * @param  array<string, mixed>  $terms
     */
    private function keepConsent(DocketLine $line, HeldCase $file, array $terms): void
    {
        $consent = $terms['consent'] ?? null;
        if (is_array($consent) && $file->guard !== null) {
            DB::table('consents')->insertOrIgnore([
                'contact_id' => $file->guard->contact,
                'docket_id' => $line->docket_id,
                'fields' => json_encode($terms['fields'] ?? [], JSON_THROW_ON_ERROR),
                'words' => $consent['words'] ?? '',
                'given_on' => $consent['on'] ?? '',
                'user_id' => $line->docket->settled_by,
            ]);
        }
    }

    private function published(HeldCase $file, Instant $now): Published
    {
        return $this->book->for($file->facts->name->suffix(), $now)->published->value;
    }

    private function day(mixed $said): string
    {
        try {
            $day = Instant::of(is_string($said) ? $said : '');
        } catch (TimeError) {
            $day = $this->clock->today();
        }

        return Instant::earliest($day->toDay(), $this->clock->today())->date();
    }

    private static function hasPrivacy(HeldCase $file): bool
    {
        return in_array(ExtraKind::Privacy, $file->extras, true);
    }

    /** @param  array<string, mixed>  $terms */
    private static function wish(array $terms): Pattern
    {
        return Pattern::read(is_array($terms['fields'] ?? null) ? $terms['fields'] : []);
    }

    /** @param  list<Field>  $fields */
    private static function fields(array $fields): string
    {
        return $fields === []
            ? self::text('contacts.field.nothing')
            : implode(', ', array_map(fn (Field $field): string => self::text('contacts.field.'.$field->value), $fields));
    }

    private static function word(string $key): string
    {
        return self::text('deeds.change_disclosure.'.$key);
    }
}
