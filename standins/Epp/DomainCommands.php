<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Json\JsonNode;
use Acre\Wire\Xml\XmlNode;
use Closure;
use Standin\Registry\Account;
use Standin\Registry\EndHabit;
use Standin\Registry\Holder;
use Standin\Registry\Prices;
use Standin\Registry\Registered;
use Standin\Registry\Registry;
use Standin\World;

/** Names, as an account at the registrar may command them (RFC 5731), with what is said beside (RFC 3915, 5910, 8748, and our own). */
final readonly class DomainCommands
{
    private const DAY = 86_400;

    private const CLIENT_STATUSES = [
        'clientHold',
        'clientTransferProhibited',
        'clientUpdateProhibited',
        'clientRenewProhibited',
        'clientDeleteProhibited',
    ];

    private const PENDING = ['pendingCreate', 'pendingDelete', 'pendingRenew', 'pendingTransfer', 'pendingUpdate'];

    public const YEARS_AHEAD = 10;

    private const IN_USE = 'In use';

    /**
     * @param  list<XmlNode>  $extensions  of the command
     * @param  bool  $isReviewed  whether the registrar's people have looked at it
     */
    public function __construct(
        private World $world,
        private Account $account,
        private array $extensions,
        private bool $isReviewed = false,
    ) {
    }

    public function carryOut(XmlNode $verb, XmlNode $object): EppAnswer
    {
        return match ($verb->name()) {
            'check' => $this->check($object),
            'info' => $this->info($object),
            'create' => $this->create($object),
            'renew' => $this->renew($object),
            'transfer' => $this->transfer($verb->attribute('op') ?? '', $object),
            'update' => $this->update($object),
            'delete' => $this->delete($object),
            default => throw EppRefusal::because(EppCode::UnknownCommand, "There is no {$verb->name()} of a name."),
        };
    }

    private function check(XmlNode $object): EppAnswer
    {
        $names = $object->texts(EppNamespace::Domain->value, 'name');
        $check = $this->extension(EppNamespace::Fee, 'check');
        $asked = $check === null ? null : FeesAsked::of($check);
        $why = array_combine($names, array_map($this->whyNot(...), $names));

        return EppAnswer::done(
            fn (EppWriter $to) => $to->object(EppNamespace::Domain, 'chkData', function (EppWriter $to) use ($names, $why): void {
                foreach ($names as $name) {
                    $to->open('domain:cd', [], function (EppWriter $to) use ($name, $why): void {
                        $to->text('domain:name', $name, ['avail' => $why[$name] === null ? '1' : '0']);
                        if ($why[$name] !== null) {
                            $to->text('domain:reason', $why[$name]);
                        }
                    });
                }
            }),
            $asked === null
                ? null
                : fn (EppWriter $to) => $asked->write(
                    $to,
                    array_map(fn (?string $said): ?string => $said === self::IN_USE ? null : $said, $why),
                ),
        );
    }

    private function whyNot(string $name): ?string
    {
        if (! self::isName($name)) {
            return 'Not a name';
        }

        return Registry::for(strtolower($name)) === null
            ? 'Not sold here'
            : ($this->world->store->name(strtolower($name)) === null
                ? null
                : self::IN_USE);
    }

    private function info(XmlNode $object): EppAnswer
    {
        $name = $this->known($object);
        $code = $object->childOrNull(EppNamespace::Domain->value, 'authInfo')?->textOrNull(EppNamespace::Domain->value, 'pw');
        if ($code !== null && $code !== $name->code) {
            throw EppRefusal::because(EppCode::InvalidAuthorization, 'The code is another.');
        }
        $whole = $this->isOwn($name) || $code !== null;
        // RFC 5731 §3.1.2: `sub` are hosts below the name itself, which nobody here has.
        $withServers = ! in_array($object->child(EppNamespace::Domain->value, 'name')->attribute('hosts'), ['none', 'sub'], true);

        return new EppAnswer(
            EppCode::Done,
            fn (EppWriter $to) => DomainAnswers::info($to, $name, $whole, $withServers),
            $whole || $name->ds !== [] ? fn (EppWriter $to) => DomainAnswers::infoExtension($to, $name, $whole) : null,
        );
    }

    private function create(XmlNode $object): EppAnswer
    {
        $domain = EppNamespace::Domain->value;
        $asked = $object->textOf($domain, 'name');
        if ($this->whyNot($asked) !== null) {
            throw EppRefusal::because(
                $this->whyNot($asked) === self::IN_USE ? EppCode::Exists : EppCode::ValueSyntax,
                "{$asked}: {$this->whyNot($asked)}",
            );
        }
        $name = strtolower($asked);
        $this->takes($object);
        $years = $this->years($object, 1);
        $contact =
            $object->textOrNull($domain, 'registrant') ??
            throw EppRefusal::because(EppCode::MissingParameter, 'The registrant is missing.');
        $holder = $this->holder($contact);
        $code =
            $object->childOrNull($domain, 'authInfo')?->textOrNull($domain, 'pw') ??
            throw EppRefusal::because(EppCode::MissingParameter, 'The code is missing.');
        $charged = $this->charge('create', Prices::of('create', $name, $years));
        $now = $this->world->now();
        $ends = $now;
        for ($year = 0; $year < $years; $year++) {
            $ends = EndHabit::yearAfter($ends);
        }
        $goesOn = Registry::for($name)?->habit === EndHabit::GoesOn;
        $registered = new Registered(
            $name,
            $this->account->registrar,
            null,
            $now,
            $goesOn ? null : $ends,
            $now,
            null,
            ['addPeriod'],
            $this->servers($object->childOrNull($domain, 'ns')),
            $this->ds($this->extension(EppNamespace::SecDns, 'create')),
            $holder,
            ['organisation'],
            Registry::for($name)?->validates === true ? false : null,
            true,
            null,
            $this->account->number,
            $code,
        );
        $this->world->change($registered);

        return EppAnswer::done(
            fn (EppWriter $to) => $to->object(EppNamespace::Domain, 'creData', function (EppWriter $to) use ($registered): void {
                $to->text('domain:name', $registered->name)->text('domain:crDate', DomainAnswers::at($registered->created));
                if ($registered->ends !== null) {
                    $to->text('domain:exDate', DomainAnswers::at($registered->ends));
                }
            }),
            $charged,
        );
    }

    private function renew(XmlNode $object): EppAnswer
    {
        $name = $this->own($object);
        $this->forbid($name, ['clientRenewProhibited', 'serverRenewProhibited', ...self::PENDING]);
        $years = $this->years($object, 1);
        $ends = $name->ends ?? throw EppRefusal::because(EppCode::NotRenewable, 'It goes on by itself.');
        // The date guards against renewing twice (RFC 5731 §3.2.3).
        if ($object->textOf(EppNamespace::Domain->value, 'curExpDate') !== gmdate('Y-m-d', $ends)) {
            throw EppRefusal::because(EppCode::ValueRange, 'It ends on another day: '.gmdate('Y-m-d', $ends).'.');
        }
        for ($year = 0; $year < $years; $year++) {
            $ends = EndHabit::yearAfter($ends);
        }
        if ($ends > $this->world->now() + self::YEARS_AHEAD * 365.25 * self::DAY) {
            throw EppRefusal::because(EppCode::ValueRange, 'It may not run more than ten years ahead.');
        }
        $charged = $this->charge('renew', Prices::of('renew', $name->name, $years));
        $name->ends = $ends;
        $name->renewed = $this->world->now();
        $name->change(['ok', 'autoRenewPeriod'], ['renewPeriod']);
        $this->world->change($name);

        return EppAnswer::done(
            fn (EppWriter $to) => $to->object(
                EppNamespace::Domain,
                'renData',
                fn (EppWriter $to) => $to->text('domain:name', $name->name)->text('domain:exDate', DomainAnswers::at($ends)),
            ),
            $charged,
        );
    }

    private function transfer(string $op, XmlNode $object): EppAnswer
    {
        $name = $this->known($object);
        $pending = $name->transfer;
        $now = $this->world->now();
        if ($op === 'query') {
            return $this->transferState($name);
        }
        if ($op === 'request') {
            if ($this->isOwn($name)) {
                throw EppRefusal::because(EppCode::NotTransferable, 'It is here already.');
            }
            if ($pending !== null) {
                throw EppRefusal::because(EppCode::TransferPending, 'A transfer is pending.');
            }
            $this->forbid($name, World::NO_TRANSFER);
            $code = $object->childOrNull(EppNamespace::Domain->value, 'authInfo')?->textOrNull(EppNamespace::Domain->value, 'pw');
            if ($name->code === null || $code === null || ! hash_equals($name->code, $code)) {
                throw EppRefusal::because(EppCode::InvalidAuthorization, 'The code is another, or there is none.');
            }
            if ($this->years($object, 1) !== 1) {
                throw EppRefusal::because(EppCode::ValueRange, 'A transfer adds one year.');
            }
            $charged = $this->charge('transfer', Prices::of('transfer', $name->name));
            $this->world->beginTransfer($name, $this->account->number, $now);
            $this->world->change($name);

            return new EppAnswer(EppCode::Pending, $this->transferState($name)->data, $charged);
        }
        if ($pending === null) {
            throw EppRefusal::because(EppCode::NoTransferPending, 'No transfer is pending.');
        }
        $how = match ($op) {
            'approve' => 'clientApproved',
            'reject' => 'clientRejected',
            default => 'clientCancelled',
        };
        if (($op === 'cancel') !== ($pending->to === $this->account->number) || ($op !== 'cancel' && ! $this->isOwn($name))) {
            throw EppRefusal::because(EppCode::Authorization, 'That is the other side’s to say.');
        }
        $this->world->endTransfer($name, $how, $now);
        $this->world->change($name);

        return $this->transferState($name);
    }

    private function transferState(Registered $name): EppAnswer
    {
        $pending = $name->transfer;
        $last = $name->lastTransfer;
        $actor = $name->account ?? $name->registrar;
        if ($pending !== null) {
            return EppAnswer::done(
                fn (EppWriter $to) => DomainAnswers::transfer(
                    $to,
                    $name->name,
                    'pending',
                    $pending->to,
                    $pending->asked,
                    $actor,
                    $pending->by,
                    $name->ends === null ? null : EndHabit::yearAfter($name->ends),
                ),
            );
        }
        if ($last === null) {
            throw EppRefusal::because(EppCode::NoTransferPending, 'No transfer is known.');
        }

        return EppAnswer::done(
            fn (EppWriter $to) => DomainAnswers::transfer(
                $to,
                $name->name,
                $last->state,
                $last->to,
                $last->asked,
                $actor,
                $last->at,
                $name->ends,
            ),
        );
    }

    private function update(XmlNode $object): EppAnswer
    {
        $domain = EppNamespace::Domain->value;
        $name = $this->own($object);
        $restore = $this->extension(EppNamespace::Grace, 'update')?->child(EppNamespace::Grace->value, 'restore');
        if ($restore !== null) {
            return $this->restore($name, $restore->attribute('op') ?? '');
        }
        $own = $this->extension(EppNamespace::Account, 'update');
        $handover = $own?->childOrNull(EppNamespace::Account->value, 'handover');
        if ($handover !== null) {
            return $this->handOver($name, $handover);
        }
        [$add, $remove, $change] = [
            $object->childOrNull($domain, 'add'),
            $object->childOrNull($domain, 'rem'),
            $object->childOrNull($domain, 'chg'),
        ];
        $this->takes($add, $remove);
        [$new, $gone] = [$this->statuses($add), $this->statuses($remove)];
        $isKept = $add === null && $change === null && $this->extension(EppNamespace::SecDns, 'update') === null;
        // That status itself can be lifted, and nothing else with it (RFC 5731 §2.3); what the registrar alone knows is no update of the
        // name.
        $isFreed =
            $isKept &&
            ($remove === null ? $own !== null : $gone === ['clientUpdateProhibited'] && count($remove->all()) === 1 && $own === null);
        $this->forbid($name, [
            ...$isFreed ? [] : ['clientUpdateProhibited'],
            ...$isFreed && $own !== null ? [] : ['serverUpdateProhibited'],
            ...self::PENDING,
        ]);
        if (
            $add === null &&
            $remove === null &&
            $change === null &&
            $own === null &&
            $this->extension(EppNamespace::SecDns, 'update') === null
        ) {
            throw EppRefusal::because(EppCode::MissingParameter, 'Nothing is to be changed.');
        }
        foreach ($new as $status) {
            if ($name->has($status)) {
                throw EppRefusal::because(EppCode::Policy, "It carries {$status} already.");
            }
        }
        foreach ($gone as $status) {
            if (! $name->has($status)) {
                throw EppRefusal::because(EppCode::Policy, "It does not carry {$status}.");
            }
        }
        if (! $this->isReviewed && PutOff::isFor($this->world, $name->name)) {
            $name->change(['ok'], ['pendingUpdate']);
            $this->world->change($name);

            return new EppAnswer(EppCode::Pending, putOff: $name->name);
        }
        $name->change([...$gone, 'ok'], $new);
        $servers = array_values(
            array_unique([
                ...array_diff($name->servers, $this->servers($remove?->childOrNull($domain, 'ns'))),
                ...$this->servers($add?->childOrNull($domain, 'ns')),
            ]),
        );
        if (count($servers) > 13) {
            throw EppRefusal::because(EppCode::Policy, 'Thirteen name servers at most.');
        }
        $name->servers = $servers;
        if ($change?->textOrNull($domain, 'registrant') !== null) {
            $name->holder = $this->holder($change->textOf($domain, 'registrant'));
        }
        $code = $change?->childOrNull($domain, 'authInfo');
        $name->code = $code === null ? $name->code : $code->textOrNull($domain, 'pw');
        $autoRenew = $own?->textOrNull(EppNamespace::Account->value, 'autoRenew');
        $name->autoRenew = $autoRenew === null ? $name->autoRenew : in_array($autoRenew, ['1', 'true'], true);
        $disclose = $own?->childOrNull(EppNamespace::Account->value, 'disclose');
        $name->shown = $disclose === null ? $name->shown : $disclose->texts(EppNamespace::Account->value, 'field');
        $this->changeDs($name);
        $this->world->change($name);

        return EppAnswer::done();
    }

    /** RFC 3915 §4.2.5; the report that real registries want beside is not asked for here. */
    private function restore(Registered $name, string $op): EppAnswer
    {
        if ($op !== 'request') {
            throw EppRefusal::because(EppCode::StatusProhibits, 'No report is awaited.');
        }
        if (! $name->has('redemptionPeriod')) {
            throw EppRefusal::because(EppCode::StatusProhibits, 'It is not in redemption.');
        }
        $charged = $this->charge('update', Prices::of('restore', $name->name));
        $name->change(['redemptionPeriod', 'pendingDelete'], []);
        $name->stage = null;
        // With the year that its deletion took back, which the price holds.
        while ($name->ends !== null && $name->ends <= ($now = $this->world->now())) {
            $name->ends = EndHabit::yearAfter($name->ends);
            $name->renewed = $now;
            $name->change([], ['renewPeriod']);
        }
        $this->world->change($name);
        if ($name->grace() === []) {
            return EppAnswer::done(null, $charged);
        }

        return EppAnswer::done(null, function (EppWriter $to) use ($name, $charged): void {
            $to->object(EppNamespace::Grace, 'upData', fn (EppWriter $to) => $to->sign('rgp:rgpStatus', ['s' => $name->grace()[0]]));
            if ($charged !== null) {
                $charged($to);
            }
        });
    }

    private function handOver(Registered $name, XmlNode $handover): EppAnswer
    {
        $own = EppNamespace::Account->value;
        $now = $this->world->now();
        $op = $handover->attribute('op');
        if ($op === 'cancel') {
            if ($name->handover === null) {
                throw EppRefusal::because(EppCode::StatusProhibits, 'No handover is pending.');
            }
            $this->world->endHandover($name, 'cancelled', $now);
            $this->world->change($name);

            return EppAnswer::done();
        }
        if ($name->handover !== null) {
            throw EppRefusal::because(EppCode::StatusProhibits, "A handover to {$name->handover->to} is pending.");
        }
        $this->forbid($name, ['clientTransferProhibited', ...self::PENDING]);
        $to = $this->world->store->account($handover->textOf($own, 'number'));
        // Number and login together name an account, so that one mistyped character gives nothing away.
        if ($to === null || $to->registrar !== $this->account->registrar || $to->login !== $handover->textOf($own, 'login')) {
            throw EppRefusal::because(EppCode::Policy, 'There is no account with that number and that login.');
        }
        if ($to->number === $this->account->number) {
            throw EppRefusal::because(EppCode::Policy, 'It lies in that account already.');
        }
        $this->world->offer($name, $this->account, $to);
        $this->world->change($name);

        return new EppAnswer(EppCode::Pending);
    }

    private function delete(XmlNode $object): EppAnswer
    {
        $name = $this->own($object);
        $this->forbid($name, ['clientDeleteProhibited', 'serverDeleteProhibited', ...self::PENDING]);
        if ($name->has('addPeriod')) {
            $this->world->store->remove($name->name);

            return EppAnswer::done();
        }
        $name->delete($this->world->now());
        $this->world->change($name);

        return new EppAnswer(EppCode::Pending);
    }

    private function known(XmlNode $object): Registered
    {
        $asked = strtolower($object->textOf(EppNamespace::Domain->value, 'name'));

        return $this->world->store->name($asked) ??
            throw self::isName($asked)
                ? EppRefusal::because(EppCode::DoesNotExist, "{$asked} is not registered.")
                : EppRefusal::because(EppCode::ValueSyntax, "{$asked} is not a name.");
    }

    /** Whether it is a name as a registry keeps it, in A-labels. */
    private static function isName(string $asked): bool
    {
        try {
            return DomainName::of($asked)->ascii === strtolower($asked);
        } catch (NameError) {
            return false;
        }
    }

    private function own(XmlNode $object): Registered
    {
        $name = $this->known($object);

        if (! $this->isOwn($name)) {
            throw EppRefusal::because(EppCode::Authorization, "{$name->name} does not lie in this account.");
        }

        return $this->world->refuses($name->name) ? throw EppRefusal::because(EppCode::Policy, 'We do not do that for this name.') : $name;
    }

    private function isOwn(Registered $name): bool
    {
        return $name->account === $this->account->number && $name->registrar === $this->account->registrar;
    }

    /** @param  list<string>  $statuses */
    private function forbid(Registered $name, array $statuses): void
    {
        $held = array_values(array_intersect($statuses, $name->statuses));
        if ($held !== []) {
            throw EppRefusal::because(EppCode::StatusProhibits, "It carries {$held[0]}.");
        }
    }

    /**
     * RFC 8748 §5.2: whoever says what it may cost is refused where it costs more, and told what was charged.
     *
     * @param  'create'|'renew'|'transfer'|'update'  $command
     * @return (Closure(EppWriter): mixed)|null what the answer says of it
     */
    private function charge(string $command, int $pence): ?Closure
    {
        $agreed = $this->extension(EppNamespace::Fee, $command);
        $fee = EppNamespace::Fee->value;
        if (
            $agreed !== null &&
            (($agreed->textOrNull($fee, 'currency') ?? Prices::CURRENCY) !== Prices::CURRENCY ||
                (int) round(100 * array_sum(array_map(floatval(...), $agreed->texts($fee, 'fee')))) < $pence)
        ) {
            throw EppRefusal::because(EppCode::ValueRange, 'It costs '.Prices::written($pence).' '.Prices::CURRENCY.'.');
        }
        if ($this->account->balance < $pence) {
            throw EppRefusal::because(
                EppCode::Billing,
                'The account holds too little: '.Prices::written($this->account->balance).' of '.Prices::written($pence).'.',
            );
        }
        $this->account->balance -= $pence;
        $this->world->store->putAccount($this->account);
        $data = ['create' => 'creData', 'renew' => 'renData', 'transfer' => 'trnData', 'update' => 'updData'][$command];

        return $agreed === null
            ? null
            : fn (EppWriter $to) => $to->object(
                EppNamespace::Fee,
                $data,
                fn (EppWriter $to) => $to
                    ->text('fee:currency', Prices::CURRENCY)
                    ->text('fee:fee', Prices::written($pence))
                    ->text('fee:balance', Prices::written($this->account->balance)),
            );
    }

    private function years(XmlNode $object, int $otherwise): int
    {
        $period = $object->childOrNull(EppNamespace::Domain->value, 'period');
        if ($period === null) {
            return $otherwise;
        }
        $years = preg_match('/^\d{1,2}$/D', $period->text()) === 1 ? (int) $period->text() : 0;
        if ($period->attribute('unit') !== 'y' || $years < 1 || $years > self::YEARS_AHEAD) {
            throw EppRefusal::because(EppCode::ValueRange, 'One to ten years.');
        }

        return $years;
    }

    private function holder(string $contact): Holder
    {
        [, $body] =
            $this->world->store->contact($contact) ?? throw EppRefusal::because(EppCode::DoesNotExist, "There is no contact {$contact}.");

        return Holder::of(JsonNode::read($body, 20_000));
    }

    /** What the RFCs leave to a server and this one doesn't keep is refused, and not passed over (RFC 5910 §4 and §5.2 name the codes). */
    private function takes(?XmlNode ...$parts): void
    {
        $domain = EppNamespace::Domain->value;
        foreach ($parts as $part) {
            if ($part?->childOrNull($domain, 'contact') !== null) {
                throw EppRefusal::because(EppCode::UnimplementedOption, 'Of a name’s contacts only the registrant is kept here.');
            }
            if ($part?->childOrNull($domain, 'ns')?->childOrNull($domain, 'hostAttr') !== null) {
                throw EppRefusal::because(EppCode::UnimplementedOption, 'Name servers are hosts of their own here.');
            }
        }
        $keys = $this->extension(EppNamespace::SecDns, 'create') ?? $this->extension(EppNamespace::SecDns, 'update');
        $dns = EppNamespace::SecDns->value;
        if (in_array($keys?->attribute('urgent'), ['1', 'true'], true)) {
            throw EppRefusal::because(EppCode::UnimplementedOption, 'Nothing is more urgent here than anything else.');
        }
        foreach ($keys === null ? [] : ($keys->name() === 'create' ? [$keys] : $keys->all()) as $part) {
            if ($part->childOrNull($dns, 'maxSigLife') !== null) {
                throw EppRefusal::because(EppCode::UnimplementedOption, 'How long signatures last is not chosen here.');
            }
            if ($part->childOrNull($dns, 'keyData') !== null) {
                throw EppRefusal::because(EppCode::Policy, 'Keys are told by their digests here.');
            }
        }
    }

    /** @return list<string> */
    private function servers(?XmlNode $ns): array
    {
        $servers = array_map(strtolower(...), $ns?->texts(EppNamespace::Domain->value, 'hostObj') ?? []);
        foreach ($servers as $server) {
            if ($this->world->store->hosts->addresses($server) === []) {
                throw EppRefusal::because(EppCode::DoesNotExist, "There is no host {$server}.");
            }
        }

        return $servers;
    }

    /** @return list<string> */
    private function statuses(?XmlNode $part): array
    {
        $statuses = array_map(
            fn (XmlNode $status): string => $status->attribute('s') ?? '',
            $part?->children(EppNamespace::Domain->value, 'status') ?? [],
        );
        foreach ($statuses as $status) {
            if (! in_array($status, self::CLIENT_STATUSES, true)) {
                throw EppRefusal::because(
                    str_starts_with($status, 'server') || str_starts_with($status, 'pending') || $status === 'ok'
                        ? EppCode::Policy
                        : EppCode::ValueSyntax,
                    "{$status} is not a client’s to set.",
                );
            }
        }

        return $statuses;
    }

    /** @return list<array{int, int, int, string}> */
    private function ds(?XmlNode $part): array
    {
        $dns = EppNamespace::SecDns->value;

        return array_map(
            fn (XmlNode $ds): array => [
                (int) $ds->textOf($dns, 'keyTag'),
                (int) $ds->textOf($dns, 'alg'),
                (int) $ds->textOf($dns, 'digestType'),
                strtoupper($ds->textOf($dns, 'digest')),
            ],
            $part?->children($dns, 'dsData') ?? [],
        );
    }

    /** RFC 5910 §5.2.5: what goes first, then what comes. */
    private function changeDs(Registered $name): void
    {
        $update = $this->extension(EppNamespace::SecDns, 'update');
        $dns = EppNamespace::SecDns->value;
        $remove = $update?->childOrNull($dns, 'rem');
        if ($remove?->textOrNull($dns, 'all') !== null && in_array($remove->textOf($dns, 'all'), ['1', 'true'], true)) {
            $name->ds = [];
        }
        $gone = $this->ds($remove);
        $name->ds = [
            ...array_values(array_filter($name->ds, fn (array $ds): bool => ! in_array($ds, $gone, true))),
            ...$this->ds($update?->childOrNull($dns, 'add')),
        ];
    }

    private function extension(EppNamespace $namespace, string $name): ?XmlNode
    {
        foreach ($this->extensions as $extension) {
            if ($extension->is($namespace->value, $name)) {
                return $extension;
            }
        }

        return null;
    }
}
