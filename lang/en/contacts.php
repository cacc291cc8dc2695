<?php

declare(strict_types=1);

return [
    'field' => [
        'name' => 'person', 'organisation' => 'organisation', 'street' => 'street', 'town' => 'town', 'region' => 'region', 'postcode' => 'postcode', 'country' => 'country', 'voice' => 'telephone', 'mailbox' => 'mailbox',
    ],
    'role' => ['registrant' => 'registrant', 'administrative' => 'administrative contact', 'technical' => 'technical contact', 'billing' => 'billing contact'],
    'kind' => ['organisation' => 'an organisation', 'person' => 'a private person', 'unknown' => 'not said: organisation or person'],
    'source' => ['typed' => 'typed', 'brought in' => 'from a list', 'card' => 'from a card', 'record' => 'from the public record'],
];
