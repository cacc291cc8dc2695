<?php

declare(strict_types=1);

namespace Acre\Core\Drawing;

/** One shape of the drawing grammar. Places along the axis are in per cent of the drawing's width. */
interface Shape
{
}
