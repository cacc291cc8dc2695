<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use Acre\Wire\Xml\XmlNode;
use DateTimeImmutable;

/** What a server says of itself when somebody connects (RFC 5730 §2.4). */
final readonly class EppGreeting
{
    /**
     * @param  list<string>  $versions
     * @param  list<string>  $languages
     * @param  list<string>  $objects  namespaces
     * @param  list<string>  $extensions  namespaces
     */
    private function __construct(
        public string $server,
        public ?DateTimeImmutable $at,
        public array $versions,
        public array $languages,
        public array $objects,
        public array $extensions,
    ) {
    }

    public static function of(XmlNode $greeting): self
    {
        $epp = EppNamespace::Epp->value;
        $menu = $greeting->child($epp, 'svcMenu');

        return new self(
            $greeting->textOf($epp, 'svID'),
            $greeting->timeOrNull($epp, 'svDate'),
            $menu->texts($epp, 'version'),
            $menu->texts($epp, 'lang'),
            $menu->texts($epp, 'objURI'),
            $menu->childOrNull($epp, 'svcExtension')?->texts($epp, 'extURI') ?? [],
        );
    }

    /** @return list<string> the namespaces of those objects that are kept there */
    public function keeps(EppNamespace ...$objects): array
    {
        return array_values(array_intersect(array_column($objects, 'value'), $this->objects));
    }

    /** @return list<string> the namespaces of those extensions that are spoken there */
    public function speaks(EppNamespace ...$extensions): array
    {
        return array_values(array_intersect(array_column($extensions, 'value'), $this->extensions));
    }
}
