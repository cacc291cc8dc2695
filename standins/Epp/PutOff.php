<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppFraming;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Json\JsonNode;
use Acre\Wire\Xml\XmlNode;
use Standin\World;

/** Updates that a registrar's people look at first: answered 1001, and how they end is said by message (RFC 5731 §3.3). */
final readonly class PutOff
{
    public function __construct(private World $world)
    {
    }

    public static function isFor(World $world, string $name): bool
    {
        return $world->store->told("reviewed {$name}") === 'yes';
    }

    /** @param  string|null  $client  the client's transaction id */
    public function keep(string $name, string $account, string $document, ?string $client, string $server): void
    {
        $this->world->store->tell(
            "put off {$name}",
            json_encode(['account' => $account, 'document' => $document, 'client' => $client, 'server' => $server], JSON_THROW_ON_ERROR),
        );
    }

    /** Nothing happens where nothing was put off. */
    public function decide(string $name, bool $passes): void
    {
        $store = $this->world->store;
        $kept = $store->told("put off {$name}") ?? '';
        $registered = $store->name($name);
        if ($kept === '' || $registered === null) {
            return;
        }
        $node = JsonNode::read($kept, EppFraming::LIMIT * 2);
        $store->tell("put off {$name}", '');
        $registered->change(['pendingUpdate'], []);
        $this->world->change($registered);
        $account = $store->account($node->text('account'));
        if ($passes && $account !== null) {
            $command = XmlNode::read($node->text('document'), EppFraming::LIMIT)->child(EppNamespace::Epp->value, 'command');
            $verb = $command->child(EppNamespace::Epp->value, 'update');
            (new DomainCommands(
                $this->world,
                $account,
                $command->childOrNull(EppNamespace::Epp->value, 'extension')?->all() ?? [],
                isReviewed: true,
            ))->carryOut($verb, $verb->child(EppNamespace::Domain->value, 'update'));
        }
        $store->inbox->leave(
            $node->text('account'),
            $this->world->now(),
            "The update of {$name} was ".($passes ? 'carried out.' : 'not carried out.'),
            json_encode(
                [
                    'kind' => 'action',
                    'name' => $name,
                    'done' => $passes,
                    'client' => $node->textOrNull('client'),
                    'server' => $node->text('server'),
                    'at' => $this->world->now(),
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
    }
}
