<?php

declare(strict_types=1);

namespace Acre\Core\Finding;

use LogicException;

final class FindingError extends LogicException
{
    /**
     * @param  list<string>  $given
     */
    public static function arguments(FindingTag $tag, array $given): self
    {
        return new self(
            sprintf('%s.%s takes (%s), given (%s).', $tag::area(), $tag->value, implode(', ', $tag->arguments()), implode(', ', $given)),
        );
    }
}
