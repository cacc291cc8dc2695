<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;

/** A server's answer to a command (RFC 5730 §2.6). What stands in its extensions and is not understood is kept. */
final readonly class EppResponse
{
    /**
     * @param  non-empty-list<EppResult>  $results
     * @param  list<XmlNode>  $data  of the object
     * @param  list<XmlNode>  $extensions
     * @param  string|null  $client  the client's transaction id, as the server gives it back
     * @param  string  $server  the server's own
     */
    private function __construct(
        public array $results,
        public ?EppMessage $message,
        public array $data,
        public array $extensions,
        public ?string $client,
        public string $server,
    ) {
    }

    public static function of(XmlNode $response): self
    {
        $epp = EppNamespace::Epp->value;
        $results = array_map(EppResult::of(...), $response->children($epp, 'result'));
        $queue = $response->childOrNull($epp, 'msgQ');
        $ids = $response->child($epp, 'trID');

        return new self(
            $results === [] ? throw XmlError::missing($response->path().'/result') : $results,
            $queue === null ? null : EppMessage::of($queue),
            $response->childOrNull($epp, 'resData')?->all() ?? [],
            $response->childOrNull($epp, 'extension')?->all() ?? [],
            $ids->textOrNull($epp, 'clTRID'),
            $ids->textOf($epp, 'svTRID'),
        );
    }

    /** Of several results all are errors, and the first is what went wrong (§2.6). */
    public function code(): EppCode
    {
        return $this->results[0]->code;
    }

    /** @throws EppError when the response has none */
    public function object(EppNamespace $namespace, string $name): XmlNode
    {
        return $this->find($this->data, $namespace, $name) ?? throw EppError::noData("{$namespace->prefix()}:{$name}");
    }

    public function objectOrNull(EppNamespace $namespace, string $name): ?XmlNode
    {
        return $this->find($this->data, $namespace, $name);
    }

    public function extension(EppNamespace $namespace, string $name): ?XmlNode
    {
        return $this->find($this->extensions, $namespace, $name);
    }

    /** @param  list<XmlNode>  $nodes */
    private function find(array $nodes, EppNamespace $namespace, string $name): ?XmlNode
    {
        foreach ($nodes as $node) {
            if ($node->is($namespace->value, $name)) {
                return $node;
            }
        }

        return null;
    }
}
