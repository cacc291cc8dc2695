<?php

declare(strict_types=1);

namespace App\View;

use Acre\Core\Contact\ContactFinding;
use Acre\Core\Finding\Cure;
use Acre\Core\Finding\Finding;
use Acre\Core\Record\RecordFinding;
use App\Actions\Books\ChangeIntent;
use App\Actions\Books\RecordRenewal;
use App\Actions\Deeds\Deed;
use App\Actions\Registrar\AskCode;
use App\Actions\Registrar\ChangeLock;
use App\Actions\Registrar\ChangeRegistrant;
use App\Actions\Registrar\PutServersBack;
use App\Queries\Names\CaseFile;

/** What takes a finding away, in words: with the address where it is done, or saying how it is done elsewhere. */
final readonly class CureInWords
{
    /** @param  string|null  $address  null: it is not done here, and the words say where */
    private function __construct(public string $said, public ?string $address)
    {
    }

    /**
     * @param  list<Finding>  $findings
     * @param  int|null  $receiverId  the account that names are to go to; null: they go nowhere
     * @return list<self> one of each cure; what nothing takes away has none
     */
    public static function of(array $findings, CaseFile $file, Words $words, ?int $receiverId = null): array
    {
        $cures = [];
        foreach ($findings as $finding) {
            $cure = $finding->tag->cure();
            if ($cure !== null && $cure !== Cure::LeaveOut) {
                $cures[$cure->value] ??= self::one($cure, $finding, $file, $words, $receiverId);
            }
        }

        return array_values($cures);
    }

    private static function one(Cure $cure, Finding $finding, CaseFile $file, Words $words, ?int $receiverId): self
    {
        $name = $file->facts->name->ascii;
        $address = match ($cure) {
            Cure::SeeDocket => is_int($finding->with['docket'] ?? null) ? route('dockets.show', $finding->with['docket']) : null,
            Cure::LookAtRecord, Cure::SettleDrift => route('record.show', $name),
            Cure::SayWhen => route('names.edit', $name),
            Cure::ChangeIntent => self::deed(ChangeIntent::class, $name),
            Cure::RenewFirst => self::deed(RecordRenewal::class, $name),
            Cure::SetLock => self::deed(ChangeLock::class, $name, ['lock' => 'on']),
            Cure::MoveRegistrar => self::deed(AskCode::class, $name),
            Cure::ChangeServers => $finding->tag === RecordFinding::ServersChanged ? self::deed(PutServersBack::class, $name) : null,
            Cure::SayWho => self::deed(ChangeRegistrant::class, $name),
            Cure::TellRegistrar => $file->guard === null ? null : self::deed(ChangeRegistrant::class, $name, ['contact' => (string) $file->guard->contact, 'correct' => '1']),
            Cure::CorrectContact, Cure::OtherMailbox => $file->guard === null ? self::deed(ChangeRegistrant::class, $name) : route('contacts.edit', $file->guard->contact),
            Cure::AskClient => $finding->tag === ContactFinding::VerifyBy || $finding->tag === ContactFinding::VerificationLapsed ? route('verification.index') : route('clients.show', $file->clientId),
            Cure::GainAccess, Cure::AnotherPerson, Cure::OtherCard, Cure::SayWayBack, Cure::KeepApart => $file->account->id === 0 ? null : route('accounts.show', $file->account->id),
            Cure::AskReceiver => $receiverId === null ? null : route('accounts.edit', $receiverId),
            Cure::RestoreFirst, Cure::Wait, Cure::LiftHold, Cure::KeepCopy, Cure::AskHost, Cure::LeaveOut => null,
        };
        $key = $address === null ? "words.cure_elsewhere.{$cure->value}" : "words.cure.{$cure->value}";
        $docket = $finding->with['docket'] ?? '';
        $with = ['registrar' => $file->account->registrarName, 'docket' => is_int($docket) ? $docket : ''];

        return new self($words->sayOr($key, $words->say("words.cure.{$cure->value}", $with), $with), $address);
    }

    /**
     * @param  class-string<Deed>  $deed
     * @param  array<string, string>  $terms
     */
    private static function deed(string $deed, string $name, array $terms = []): string
    {
        return route('deeds.show', [$deed::key(), 'name' => $name, ...$terms]);
    }
}
