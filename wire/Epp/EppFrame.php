<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;

/** Documents that go to a server, and those that come from one. */
final class EppFrame
{
    /** @param  string  $transaction  the client's own id of the command (clTRID), 3 to 64 characters */
    public static function command(EppCommand $command, string $transaction): string
    {
        $to = self::epp()->begin('command');
        $command->write($to);
        if ($command instanceof EppExtended && $command->isExtended()) {
            $command->writeExtension($to->begin('extension'));
            $to->end();
        }

        return $to->text('clTRID', $transaction)->end()->end()->document();
    }

    /** Asks for the greeting again, which also keeps a session alive (RFC 5730 §2.3). */
    public static function hello(): string
    {
        return self::epp()->sign('hello')->end()->document();
    }

    /**
     * @throws XmlError where it is no XML or lacks what every frame has
     * @throws EppError when it is neither
     */
    public static function read(string $document): EppGreeting|EppResponse
    {
        $epp = XmlNode::read($document, EppFraming::LIMIT);
        if (! $epp->is(EppNamespace::Epp->value, 'epp')) {
            throw XmlError::otherRoot('epp', $epp->name());
        }
        $inside = $epp->children(EppNamespace::Epp->value)[0] ?? throw XmlError::missing('epp/response');

        return match ($inside->name()) {
            'greeting' => EppGreeting::of($inside),
            'response' => EppResponse::of($inside),
            default => throw EppError::otherFrame($inside->name()),
        };
    }

    private static function epp(): EppWriter
    {
        return (new EppWriter)->begin('epp', ['xmlns' => EppNamespace::Epp->value]);
    }
}
