<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppFraming;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;
use Standin\Registry\Account;
use Standin\World;

/** One client's session: greeting, login, commands in order, logout (RFC 5730 §2). */
final class EppSession
{
    private const OBJECTS = [EppNamespace::Domain, EppNamespace::Host, EppNamespace::Contact, EppNamespace::Account];

    private const EXTENSIONS = [EppNamespace::Grace, EppNamespace::SecDns, EppNamespace::Fee, EppNamespace::Account];

    private const VERBS = ['login', 'logout', 'poll', 'check', 'info', 'create', 'renew', 'transfer', 'update', 'delete'];

    /** Wrong passwords after which the connection is closed. */
    private const GUESSES = 3;

    public ?Account $account = null;

    public bool $closes = false;

    private int $guesses = 0;

    public function __construct(private readonly World $world, private readonly string $registrar, private readonly OpenSessions $open)
    {
    }

    public function greeting(): string
    {
        return (new EppWriter())
            ->open(
                'epp',
                ['xmlns' => EppNamespace::Epp->value],
                fn (EppWriter $to) => $to->open(
                    'greeting',
                    [],
                    fn (EppWriter $to) => $to
                        ->text('svID', "The gate of {$this->registrar}, simulated")
                        ->text('svDate', gmdate('Y-m-d\TH:i:s.0\Z', $this->world->now()))
                        ->open(
                            'svcMenu',
                            [],
                            fn (EppWriter $to) => $to
                                ->text('version', '1.0')
                                ->text('lang', 'en')
                                ->texts('objURI', array_column(self::OBJECTS, 'value'))
                                ->open(
                                    'svcExtension',
                                    [],
                                    fn (EppWriter $to) => $to->texts('extURI', array_column(self::EXTENSIONS, 'value')),
                                ),
                        )
                        ->open(
                            'dcp',
                            [],
                            fn (EppWriter $to) => $to
                                ->open('access', [], fn (EppWriter $to) => $to->sign('personal'))
                                ->open(
                                    'statement',
                                    [],
                                    fn (EppWriter $to) => $to
                                        ->open('purpose', [], fn (EppWriter $to) => $to->sign('prov'))
                                        ->open('recipient', [], fn (EppWriter $to) => $to->sign('ours')->sign('public'))
                                        ->open('retention', [], fn (EppWriter $to) => $to->sign('stated')),
                                ),
                        ),
                ),
            )
            ->document();
    }

    /** @param  bool  $isFull  whether nothing can be recorded, and so nothing is carried out */
    public function handle(string $document, bool $isFull = false): string
    {
        $client = null;
        $verb = 'unread';
        try {
            $epp = XmlNode::read($document, EppFraming::LIMIT);
            $inside = $epp->is(EppNamespace::Epp->value, 'epp') ? $epp->all()[0] ?? null : null;
            if ($inside !== null && $inside->is(EppNamespace::Epp->value, 'hello')) {
                CommandSyntax::check($epp);

                return $this->greeting();
            }
            if ($inside === null || ! $inside->is(EppNamespace::Epp->value, 'command')) {
                throw EppRefusal::because(EppCode::Syntax, 'An epp element with a hello or a command is expected.');
            }
            $given = $inside->textOrNull(EppNamespace::Epp->value, 'clTRID') ?? '';
            // Another one given back would make the answer no frame either.
            $client = preg_match('/^.{3,64}$/Du', $given) === 1 ? $given : null;
            $command = $inside->all()[0] ?? throw EppRefusal::because(EppCode::Syntax, 'One verb is expected in a command.');
            $verb = $command->name();
            if (! in_array($verb, self::VERBS, true)) {
                throw EppRefusal::because(EppCode::UnknownCommand, "There is no command {$verb}.");
            }
            CommandSyntax::check($epp);
            if ($isFull) {
                throw EppRefusal::because(EppCode::Failed, 'The disk is full.');
            }
            $answer = $this->carryOut($command, $inside->childOrNull(EppNamespace::Epp->value, 'extension')?->all() ?? []);
        } catch (XmlError $e) {
            $answer = new EppAnswer(EppCode::Syntax, reason: $e->getMessage());
        } catch (EppRefusal $e) {
            $answer = new EppAnswer($e->result, reason: $e->getMessage());
        }
        $this->closes = $this->closes || $answer->code->endsSession();
        $id = $this->world->store->transaction($this->account->number ?? '', $client, $verb, $answer->code->value, $this->world->now());
        $server = strtoupper($this->registrar)."-{$id}";
        if ($answer->putOff !== null) {
            (new PutOff($this->world))->keep($answer->putOff, $this->account->number ?? '', $document, $client, $server);
        }

        return $answer->document($client, $server);
    }

    /** The connection is gone, in whatever way. */
    public function end(): void
    {
        if ($this->account !== null) {
            $this->open->leave($this->account->number);
            $this->account = null;
        }
    }

    /** @param  list<XmlNode>  $extensions */
    private function carryOut(XmlNode $verb, array $extensions): EppAnswer
    {
        if ($verb->name() === 'login') {
            return $this->login($verb);
        }
        if ($this->account === null) {
            throw EppRefusal::because(EppCode::Use, 'Log in first.');
        }
        foreach ($extensions as $extension) {
            if (! in_array($extension->namespace(), array_column(self::EXTENSIONS, 'value'), true)) {
                throw EppRefusal::because(EppCode::UnimplementedExtension, "{$extension->namespace()} is not spoken here.");
            }
        }
        // A command sees the account as it is now.
        $account = $this->world->store->account($this->account->number) ?? $this->account;

        return match ($verb->name()) {
            'logout' => new EppAnswer(EppCode::Ending),
            'poll' => (new MessageQueue($this->world, $account))->poll($verb),
            default => $this->object($verb, $extensions, $account),
        };
    }

    /** @param  list<XmlNode>  $extensions */
    private function object(XmlNode $verb, array $extensions, Account $account): EppAnswer
    {
        $object = $verb->all()[0] ?? throw EppRefusal::because(EppCode::Syntax, 'The command names no object.');
        if ($object->name() !== $verb->name()) {
            throw EppRefusal::because(EppCode::Syntax, "{$object->name()} stands inside {$verb->name()}.");
        }

        return match ($object->namespace()) {
            EppNamespace::Domain->value => (new DomainCommands($this->world, $account, $extensions))->carryOut($verb, $object),
            EppNamespace::Host->value => (new HostCommands($this->world, $account))->carryOut($verb, $object),
            EppNamespace::Contact->value => (new ContactCommands($this->world, $account))->carryOut($verb, $object),
            EppNamespace::Account->value => (new AccountCommands($this->world->store, $account))->carryOut($verb, $object),
            default => throw EppRefusal::because(EppCode::UnimplementedService, "{$object->namespace()} is not kept here."),
        };
    }

    private function login(XmlNode $login): EppAnswer
    {
        $epp = EppNamespace::Epp->value;
        if ($this->account !== null) {
            throw EppRefusal::because(EppCode::Use, 'The session is logged in already.');
        }
        $options = $login->child($epp, 'options');
        if ($options->textOf($epp, 'version') !== '1.0') {
            throw EppRefusal::because(EppCode::UnimplementedVersion, 'Only version 1.0 is spoken.');
        }
        if ($options->textOf($epp, 'lang') !== 'en') {
            throw EppRefusal::because(EppCode::UnimplementedOption, 'Only English is spoken.');
        }
        $services = $login->child($epp, 'svcs');
        if (array_diff($services->texts($epp, 'objURI'), array_column(self::OBJECTS, 'value')) !== []) {
            throw EppRefusal::because(EppCode::UnimplementedService, 'One of these objects is not kept here.');
        }
        if (
            array_diff(
                $services->childOrNull($epp, 'svcExtension')?->texts($epp, 'extURI') ?? [],
                array_column(self::EXTENSIONS, 'value'),
            ) !== []
        ) {
            throw EppRefusal::because(EppCode::UnimplementedExtension, 'One of these extensions is not spoken here.');
        }
        $account = $this->world->store->account($login->textOf($epp, 'clID'));
        if (
            $account === null
            || $account->registrar !== $this->registrar
            || ! hash_equals($account->password, $login->textOf($epp, 'pw'))
        ) {
            if (++$this->guesses >= self::GUESSES) {
                throw EppRefusal::because(EppCode::AuthenticationClosing, 'Too many wrong passwords.');
            }

            throw EppRefusal::because(EppCode::Authentication, 'Account or password is wrong.');
        }
        if (! $this->open->enter($account->number)) {
            throw EppRefusal::because(EppCode::SessionLimit, 'Too many sessions of this account are open.');
        }
        $new = $login->textOrNull($epp, 'newPW');
        if ($new !== null) {
            $account->password = $new;
            $this->world->store->putAccount($account);
        }
        $this->account = $account;

        return EppAnswer::done();
    }
}
