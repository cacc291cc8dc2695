<?php

declare(strict_types=1);

namespace Acre\Wire\Rdap;

use Acre\Wire\Json\JsonError;
use Acre\Wire\Json\JsonNode;

/** The body that a directory sends (RFC 9083). */
final class RdapAnswer
{
    public const TYPE = 'application/rdap+json';

    /** Bytes of an answer that are read. */
    public const LIMIT = 1_000_000;

    /**
     * @param  string  $asked  the name, in A-labels
     *
     * An odd member is skipped, so that nothing else is lost with it.
     *
     * @throws JsonError where it can't be read at all
     * @throws RdapError when it is about something else
     */
    public static function read(string $body, string $asked): RdapDomain|RdapRefusal
    {
        $node = JsonNode::readLeniently($body, self::LIMIT);
        $code = $node->intOrNull('errorCode');
        if ($code !== null) {
            return RdapRefusal::of($node, $code);
        }
        $class = $node->textOrNull('objectClassName');
        if ($class !== 'domain') {
            throw RdapError::otherClass('domain', $class);
        }
        $domain = RdapDomain::of($node);

        return $domain->name === strtolower($asked) ? $domain : throw RdapError::otherName($asked, $domain->name);
    }
}
