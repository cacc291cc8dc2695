<?php

declare(strict_types=1);

namespace Standin\Dns;

/** How a name server behaves. */
enum Mood: string
{
    case Fine = 'fine';
    case Silent = 'silent';
    case Slow = 'slow';
    case Refuses = 'refuses';
    /** It answers, and for no zone with authority. */
    case Lame = 'lame';
    /** It still has an older zone. */
    case OutOfStep = 'out of step';
    case Fails = 'fails';
    /** What it sends is no message: a name in it points to itself. */
    case Garbled = 'garbled';
}
