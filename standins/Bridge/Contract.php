<?php

declare(strict_types=1);

namespace Standin\Bridge;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

/** What this bridge is an example of: the published contract (docs/bridge.yaml, OpenAPI 3.1, which builds on JSON Schema 2020-12). */
final readonly class Contract
{
    private const ADDRESS = 'https://contract.example/bridge';

    private Validator $validator;

    public function __construct()
    {
        $contract = Yaml::parseFile(dirname(__DIR__, 2).'/docs/bridge.yaml');
        $this->validator = new Validator();
        $this->validator
            ->resolver()
            ?->registerRaw(json_encode(['$id' => self::ADDRESS] + (is_array($contract) ? $contract : []), JSON_THROW_ON_ERROR));
    }

    /** What is wrong with an order, and where; null: nothing. */
    public function complaint(string $order): ?string
    {
        $error = $this->validator->validate(json_decode($order), self::ADDRESS.'#/components/schemas/Order')->error();
        foreach ($error === null ? [] : (new ErrorFormatter())->format($error, false) as $where => $said) {
            return (is_string($said) ? $said : 'It is no order').($where === '/' ? '.' : ": {$where}.");
        }

        return null;
    }
}
