<?php

declare(strict_types=1);

namespace App\Outside\Web;

use Acre\Core\Hosting\WebAddress;

/** The head of an answer, as far as anybody wants it. */
final class Head
{
    private int $octets = 0;

    private ?string $location = null;

    public function __construct(private readonly int $most)
    {
    }

    /** @return int octets that were taken; fewer than were given end the answer */
    public function read(string $line): int
    {
        $this->octets += strlen($line);
        if ($this->isTooLong()) {
            return 0;
        }
        [$name, $value] = [...explode(':', $line, 2), ''];
        if (strtolower(trim($name)) === 'location') {
            // Of several, browsers take the first; one longer than any page's address leads nowhere either way.
            $this->location ??= substr(trim($value), 0, WebAddress::LONGEST + 1);
        }

        return strlen($line);
    }

    public function isTooLong(): bool
    {
        return $this->octets > $this->most;
    }

    public function location(): ?string
    {
        return $this->location;
    }
}
