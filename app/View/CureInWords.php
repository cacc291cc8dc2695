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
use App\Actions\Money\RenewNames;
use App\Actions\Money\RestoreNames;
use App\Actions\Registrar\ChangeKeys;
use App\Actions\Registrar\ChangeLock;
use App\Actions\Registrar\ChangeRegistrant;
use App\Actions\Registrar\ChangeServers;
use App\Actions\Registrar\RefuseTransfer;
use App\Actions\Registrar\RestoreServers;
use App\Actions\Transfer\TransferNames;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;
use App\Support\TradeClock;

/** What takes findings away, in words: with the address where it is done, or saying how it is done elsewhere. */
final readonly class CureInWords
{
    public function __construct(private TradeClock $clock, private Words $words)
    {
    }

    /**
     * @param  list<Finding>  $findings
     * @param  int|null  $receiverId  the account that names are to go to; null: they go nowhere
     * @return list<CureTold> one of each cure; what nothing takes away has none
     */
    public function of(array $findings, RollCase $file, ?int $receiverId = null): array
    {
        $cures = [];
        foreach ($findings as $finding) {
            $cure = $finding->tag->cure();
            if ($cure !== null && $cure !== Cure::LeaveOut) {
                $cures[$cure->value] ??= $this->one($cure, $finding, $file, $receiverId);
            }
        }

        // What is switched off because it is late comes back with its renewal.
        return array_values(
            $file->facts->ends?->hasComeAt($this->clock->now()) === true &&
            array_intersect_key($cures, [Cure::RenewFirst->value => 1, Cure::RestoreFirst->value => 1]) !== []
                ? array_diff_key($cures, [Cure::LiftHold->value => true])
                : $cures,
        );
    }

    private function one(Cure $cure, Finding $finding, RollCase $file, ?int $receiverId): CureTold
    {
        $name = $file->facts->name->ascii;
        $contact = $file instanceof HeldCase ? $file->guard?->contact : null;
        $account = $file->account()?->id;
        $address = match ($cure) {
            Cure::SeeDocket => is_int($finding->with['docket'] ?? null) ? route('dockets.show', $finding->with['docket']) : null,
            Cure::LookAtRecord, Cure::SettleDrift => route('record.show', $name),
            Cure::RefuseTransfer => self::deed(RefuseTransfer::class, $name),
            Cure::SayWhere => route('names.create', ['name' => $name]),
            Cure::SayWhen => route('names.edit', $name),
            Cure::ChangeIntent => self::deed(ChangeIntent::class, $name),
            Cure::RenewFirst => self::deed($file->account()?->ours === true ? RenewNames::class : RecordRenewal::class, $name),
            Cure::RestoreFirst => $file->account()?->ours === true ? self::deed(RestoreNames::class, $name) : null,
            Cure::SetLock => self::deed(ChangeLock::class, $name, ['lock' => 'on']),
            Cure::MoveRegistrar => self::deed(TransferNames::class, $name),
            Cure::ChangeServers => self::deed(
                $finding->tag === RecordFinding::ServersChanged ? RestoreServers::class : ChangeServers::class,
                $name,
            ),
            Cure::KeepZone => route('names.zones', $name),
            Cure::CorrectSet => route('servers.sets.index'),
            Cure::AddRecords => route('names.points', $name),
            Cure::SayWho => self::deed(ChangeRegistrant::class, $name),
            Cure::TellRegistrar => $contact === null
                ? null
                : self::deed(ChangeRegistrant::class, $name, ['contact' => (string) $contact, 'correct' => '1']),
            Cure::CorrectContact, Cure::OtherMailbox => $contact === null
                ? self::deed(ChangeRegistrant::class, $name)
                : route('contacts.edit', $contact),
            Cure::AskClient => $finding->tag === ContactFinding::VerifyBy || $finding->tag === ContactFinding::VerificationLapsed
                ? route('verification.index')
                : route('clients.show', $file->clientId),
            Cure::GainAccess, Cure::AnotherPerson, Cure::OtherCard, Cure::SayWayBack, Cure::KeepApart => $account === null
                ? null
                : route('accounts.show', $account),
            Cure::TopUp => $account === null ? null : route('accounts.money', $account),
            Cure::AskReceiver => $receiverId === null ? null : route('accounts.edit', $receiverId),
            Cure::EndDnssec => self::deed(ChangeKeys::class, $name, ['dnssec' => 'off']),
            Cure::SetRecords => route('names.sites', $name),
            Cure::AskServers, Cure::CorrectGlue, Cure::AskPlace, Cure::SetRedirect, Cure::RenewCertificate => null,
            Cure::Wait, Cure::LiftHold, Cure::KeepCopy, Cure::AskHost, Cure::LeaveOut => null,
        };
        $key = $address === null ? "words.cure_elsewhere.{$cure->value}" : "words.cure.{$cure->value}";
        $docket = $finding->with['docket'] ?? '';
        $with = [
            'registrar' => $file->registrarName(),
            'operator' => $this->words->say('hosting.whoever'),
            'docket' => is_int($docket) ? $docket : '',
            'suffix' => $file->facts->name->suffix(),
        ];

        return new CureTold($this->words->sayOr($key, $this->words->say("words.cure.{$cure->value}", $with), $with), $address);
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
