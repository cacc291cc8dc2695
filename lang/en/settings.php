<?php

declare(strict_types=1);

return [
    'title' => 'Settings', 'sections' => 'Sections of the settings', 'yours' => 'Your sign-in',
    'section' => ['house' => 'General', 'people.index' => 'Users', 'log' => 'Log', 'failed-work' => 'Failed work'],
];
