<?php

declare(strict_types=1);

namespace App\Providers;

use App\Actions\Books\ChangeIntent;
use App\Actions\Books\ChangeWords;
use App\Actions\Books\GiveToClient;
use App\Actions\Books\RecordRenewal;
use App\Actions\Books\RemoveNames;
use App\Actions\Books\UndoDocket;
use App\Actions\Contacts\ProofOfErasure;
use App\Actions\Custody\ProofOfHanding;
use App\Actions\Deeds\Deed;
use App\Actions\Deeds\Deeds;
use App\Actions\Deeds\ProofOfDocket;
use App\Actions\Handover\HandOverNames;
use App\Actions\Hosting\RedirectNames;
use App\Actions\Money\RenewNames;
use App\Actions\Money\RestoreNames;
use App\Actions\Outside\KeepOurRecord;
use App\Actions\Outside\UpdateOurRecord;
use App\Actions\Proofs\Chain;
use App\Actions\Proofs\Provable;
use App\Actions\Registrar\ChangeAutoRenew;
use App\Actions\Registrar\ChangeDisclosure;
use App\Actions\Registrar\ChangeKeys;
use App\Actions\Registrar\ChangeLock;
use App\Actions\Registrar\ChangeRecords;
use App\Actions\Registrar\ChangeRegistrant;
use App\Actions\Registrar\ChangeServers;
use App\Actions\Registrar\RefuseTransfer;
use App\Actions\Registrar\RequestAuthCode;
use App\Actions\Registrar\RestoreServers;
use App\Actions\Transfer\TransferAway;
use App\Actions\Transfer\TransferNames;
use App\Models\ProofKind;
use Illuminate\Support\ServiceProvider;

/** Which deeds there are, and what is proved of each kind of thing that ends. The next one is a line here. */
final class DeedServiceProvider extends ServiceProvider
{
    /** @var list<class-string<Deed>> */
    private const DEEDS = [
        HandOverNames::class,
        GiveToClient::class,
        ChangeIntent::class,
        RenewNames::class,
        RestoreNames::class,
        RecordRenewal::class,
        ChangeWords::class,
        RemoveNames::class,
        ChangeLock::class,
        ChangeAutoRenew::class,
        ChangeDisclosure::class,
        ChangeRegistrant::class,
        RequestAuthCode::class,
        TransferNames::class,
        TransferAway::class,
        RefuseTransfer::class,
        ChangeServers::class,
        ChangeKeys::class,
        ChangeRecords::class,
        RedirectNames::class,
        RestoreServers::class,
        UpdateOurRecord::class,
        KeepOurRecord::class,
        UndoDocket::class,
    ];

    /** @var array<string, class-string<Provable>> */
    private const PROOFS = [
        ProofKind::Docket->value => ProofOfDocket::class,
        ProofKind::Handing->value => ProofOfHanding::class,
        ProofKind::Erasure->value => ProofOfErasure::class,
    ];

    public function register(): void
    {
        $this->app->when(Deeds::class)->needs('$classes')->give(self::DEEDS);
        $this->app->when(Chain::class)->needs('$provable')->give(self::PROOFS);
    }
}
