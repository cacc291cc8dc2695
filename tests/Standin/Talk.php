<?php

declare(strict_types=1);

namespace Tests\Standin;

use Acre\Wire\Epp\Command\Login;
use Acre\Wire\Epp\EppCommand;
use Acre\Wire\Epp\EppFrame;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppResponse;
use RuntimeException;
use Standin\Epp\EppSession;

/** A client's side of a session at the simulated gate. */
final class Talk
{
    private int $said = 0;

    /** @var list<string> what the gate answered */
    public array $answers = [];

    public function __construct(public readonly EppSession $session)
    {
    }

    public function say(EppCommand $command): EppResponse
    {
        $transaction = 'TALK-'.$this->said++;
        $response = $this->raw(EppFrame::command($command, $transaction));

        return $response->client === $transaction ? $response : throw new RuntimeException('The answer is another’s.');
    }

    public function login(string $account, ?string $password = null): EppResponse
    {
        return $this->say(
            new Login(
                $account,
                $password ?? "pass-{$account}",
                [EppNamespace::Domain->value, EppNamespace::Host->value, EppNamespace::Contact->value, EppNamespace::Account->value],
                [EppNamespace::Grace->value, EppNamespace::SecDns->value, EppNamespace::Account->value],
            ),
        );
    }

    public function raw(string $document): EppResponse
    {
        $this->answers[] = $this->session->handle($document);
        $response = EppFrame::read($this->answers[count($this->answers) - 1]);

        return $response instanceof EppResponse ? $response : throw new RuntimeException('A response was expected.');
    }
}
