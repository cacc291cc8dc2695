<?php

declare(strict_types=1);

namespace Acre\Core\Contact;

/** Names whose mailboxes lie in one another, round and round. A name has one registrant's mailbox, so each leads to one other at most. */
final class Rings
{
    /**
     * Each name is visited once, however long the chains.
     *
     * @param  array<int|string, int|string>  $leads  from a name to the name that its mailbox lies in; to itself is no ring
     * @return list<list<int|string>> the rings, each begun with its least name, in the order of these
     */
    public static function of(array $leads): array
    {
        $rings = $walk = [];
        $number = 0;
        foreach (array_keys($leads) as $start) {
            $number++;
            [$path, $at] = [[], $start];
            while (isset($leads[$at]) && ! isset($walk[$at])) {
                $walk[$at] = $number;
                $path[] = $at;
                $at = $leads[$at];
            }
            if (($walk[$at] ?? null) === $number && $leads[$at] !== $at) {
                $rings[] = self::fromLeast(array_slice($path, (int) array_search($at, $path, true)));
            }
        }
        usort($rings, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $rings;
    }

    /**
     * @param  list<int|string>  $ring
     * @return list<int|string>
     */
    private static function fromLeast(array $ring): array
    {
        $least = $ring === [] ? 0 : (int) array_search(min($ring), $ring, true);

        return [...array_slice($ring, $least), ...array_slice($ring, 0, $least)];
    }
}
