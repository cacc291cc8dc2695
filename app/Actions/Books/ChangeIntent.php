<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Movement\Readiness;
use Acre\Core\Time\Instant;
use Acre\Core\Title\BookFinding;
use App\Actions\Deeds\DeedInBooks;
use App\Actions\Deeds\Undoable;
use App\Models\DocketLine;
use App\Models\Registration;
use App\Queries\Names\HeldCase;

/** What is to happen at the names' ends. */
final class ChangeIntent extends DeedInBooks implements Undoable
{
    public static function key(): string
    {
        return 'change_intent';
    }

    public function terms(array $said): ?array
    {
        $intent = is_string($said['intent'] ?? null) ? Intent::tryFrom($said['intent']) : null;

        return $intent === null ? null : ['intent' => $intent->value];
    }

    public function said(array $terms): array
    {
        return ['intent' => self::intent($terms)->value];
    }

    public function judge(HeldCase $file, array $terms, Instant $now): Readiness
    {
        $intent = self::intent($terms);
        $findings = [];
        if ($file->facts->intent === $intent) {
            $findings[] = Finding::of(BookFinding::AlreadySo, Effect::Stops);
        } elseif (($file->facts->intent === Intent::ByItself) !== ($intent === Intent::ByItself)) {
            // What the registrar does by itself is switched at the registrar's page, not here.
            $findings[] = Finding::of(BookFinding::RegistrarRenews, Effect::Worth, null, registrar: $file->account->registrarName);
        }

        return Readiness::of($findings, []);
    }

    protected function write(DocketLine $line, HeldCase $file, array $terms, Instant $now): array
    {
        self::put($file, self::intent($terms), $line, $now);

        return ['intent' => $file->facts->intent->value];
    }

    public function isAsMade(HeldCase $file, DocketLine $line): bool
    {
        return $file->facts->intent === self::intent($line->docket->terms);
    }

    public function undo(HeldCase $file, DocketLine $line, DocketLine $by, Instant $now): void
    {
        self::put($file, self::intent($line->was ?? []), $by, $now);
    }

    public function beforeAndAfter(HeldCase $file, array $terms): array
    {
        return ['before' => ['intent' => self::word($file->facts->intent)], 'after' => ['intent' => self::word(self::intent($terms))]];
    }

    protected function inWords(array $terms): array
    {
        return ['intent' => self::word(self::intent($terms))];
    }

    private static function put(HeldCase $file, Intent $intent, DocketLine $line, Instant $now): void
    {
        $registration = Registration::query()->lockForUpdate()->findOrFail($file->registrationId);
        $registration->intent = $intent;
        $registration->version++;
        $registration->sources = [
            ...$registration->sources,
            'intent' => ['from' => 'docket', 'docket' => $line->docket_id, 'at' => $now->date()],
        ];
        $registration->save();
    }

    /** @param  array<string, mixed>  $terms */
    private static function intent(array $terms): Intent
    {
        return Intent::from(is_string($terms['intent'] ?? null) ? $terms['intent'] : '');
    }

    private static function word(Intent $intent): string
    {
        $said = __('words.intent.'.$intent->value);

        return is_string($said) ? $said : $intent->value;
    }
}
