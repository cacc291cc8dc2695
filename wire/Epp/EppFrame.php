<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use Acre\Wire\Xml\XmlError;
use Acre\Wire\Xml\XmlNode;
use Closure;

/** Documents that go to a server, and those that come from one. */
final class EppFrame
{
    /** @param  string  $transaction  the client's own id of the command (clTRID), 3 to 64 characters */
    public static function command(EppCommand $command, string $transaction): string
    {
        return self::epp(fn (EppWriter $to) => $to->open('command', [], function (EppWriter $to) use ($command, $transaction): void {
            $command->write($to);
            if ($command instanceof EppExtended && $command->isExtended()) {
                $to->open('extension', [], $command->writeExtension(...));
            }
            $to->text('clTRID', $transaction);
        }));
    }

    /** Asks for the greeting again, which also keeps a session alive (RFC 5730 §2.3). */
    public static function hello(): string
    {
        return self::epp(fn (EppWriter $to) => $to->sign('hello'));
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

    /** @param  Closure(EppWriter): mixed  $inside */
    private static function epp(Closure $inside): string
    {
        return (new EppWriter)->open('epp', ['xmlns' => EppNamespace::Epp->value], function (EppWriter $to) use ($inside): void {
            $inside($to);
        })->document();
    }
}
