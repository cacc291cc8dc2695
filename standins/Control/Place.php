<?php

declare(strict_types=1);

namespace Standin\Control;

/** Where weather can be bad. */
enum Place: string
{
    case Gate = 'the gate';
    case Bridge = 'the bridge';
    case Directories = 'the directories';
    case Post = 'the post';
    case Web = 'the web';
}
