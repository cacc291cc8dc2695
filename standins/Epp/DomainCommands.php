<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;
use Standin\Registry\EndHabit;
use Standin\Registry\Registered;
use Standin\Registry\Registry;
use Standin\World;

/** Names, as an account at the registrar may command them (RFC 5731), with what is said beside (RFC 3915, 5910, 8748, and our own). */
final readonly class DomainCommands
{
    private const DAY = 86_400;

    private const IN_USE = 'In use';

    private DomainGround $on;

    /**
     * @param  list<XmlNode>  $extensions  of the command
     * @param  bool  $isReviewed  whether the registrar's people have looked at it
     */
    public function __construct(
        private World $world,
        private Account $account,
        array $extensions,
        private bool $isReviewed = false,
    ) {
        $this->on = new DomainGround($world, $account, $extensions);
    }

    public function carryOut(XmlNode $verb, XmlNode $object): EppAnswer
    {
        return match ($verb->name()) {
            'check' => $this->check($object),
            'info' => $this->info($object),
            'create' => $this->create($object),
            'renew' => $this->renew($object),
            'transfer' => (new DomainTransfers($this->world, $this->account, $this->on))
                ->transfer($verb->attribute('op') ?? '', $object),
            'update' => (new DomainUpdates($this->world, $this->account, $this->on, $this->isReviewed))->update($object),
            'delete' => $this->delete($object),
            default => throw EppRefusal::because(EppCode::UnknownCommand, "There is no {$verb->name()} of a name."),
        };
    }

    private function check(XmlNode $object): EppAnswer
    {
        $names = $object->texts(EppNamespace::Domain->value, 'name');
        $check = $this->on->extension(EppNamespace::Fee, 'check');
        $asked = $check === null ? null : FeesAsked::of($check, $this->world);
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
        if (! DomainGround::isName($name)) {
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
        $name = $this->on->known($object);
        $code = $object->childOrNull(EppNamespace::Domain->value, 'authInfo')?->textOrNull(EppNamespace::Domain->value, 'pw');
        if ($code !== null && $code !== $name->code) {
            throw EppRefusal::because(EppCode::InvalidAuthorization, 'The code is another.');
        }
        $whole = $this->on->isOwn($name) || $code !== null;
        // RFC 5731 §3.1.2: `sub` are hosts below the name itself, which no name here has.
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
        $this->on->takes($object);
        $years = $this->on->years($object, 1);
        $contact =
            $object->textOrNull($domain, 'registrant') ??
            throw EppRefusal::because(EppCode::MissingParameter, 'The registrant is missing.');
        $holder = $this->on->holder($contact);
        $code =
            $object->childOrNull($domain, 'authInfo')?->textOrNull($domain, 'pw') ??
            throw EppRefusal::because(EppCode::MissingParameter, 'The code is missing.');
        $charged = $this->on->charge('create', $this->world->prices->of('create', $name, $this->world->now(), $years), $name);
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
            $this->on->servers($object->childOrNull($domain, 'ns')),
            $this->on->ds($this->on->extension(EppNamespace::SecDns, 'create')),
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
        $name = $this->on->own($object);
        $this->on->forbid($name, ['clientRenewProhibited', 'serverRenewProhibited', ...DomainGround::PENDING]);
        $years = $this->on->years($object, 1);
        $ends = $name->ends ?? throw EppRefusal::because(EppCode::NotRenewable, 'It goes on by itself.');
        // The date guards against renewing twice (RFC 5731 §3.2.3).
        if ($object->textOf(EppNamespace::Domain->value, 'curExpDate') !== gmdate('Y-m-d', $ends)) {
            throw EppRefusal::because(EppCode::ValueRange, 'It ends on another day: '.gmdate('Y-m-d', $ends).'.');
        }
        for ($year = 0; $year < $years; $year++) {
            $ends = EndHabit::yearAfter($ends);
        }
        if ($ends > $this->world->now() + DomainGround::YEARS_AHEAD * 365.25 * self::DAY) {
            throw EppRefusal::because(EppCode::ValueRange, 'It may not run more than ten years ahead.');
        }
        $charged = $this->on->charge('renew', $this->world->prices->of('renew', $name->name, $this->world->now(), $years), $name->name);
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

    private function delete(XmlNode $object): EppAnswer
    {
        $name = $this->on->own($object);
        $this->on->forbid($name, ['clientDeleteProhibited', 'serverDeleteProhibited', ...DomainGround::PENDING]);
        if ($name->has('addPeriod')) {
            $this->world->store->remove($name->name);

            return EppAnswer::done();
        }
        $name->delete($this->world->now());
        $this->world->change($name);

        return new EppAnswer(EppCode::Pending);
    }
}
