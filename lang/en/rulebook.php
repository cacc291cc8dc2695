<?php

declare(strict_types=1);

return [
    'months' => '{1} 1 month|[2,*] :count months', 'years' => '{1} 1 year|[2,*] :count years',
    'rule' => [
        'least_months' => 'Shortest term, months', 'most_years' => 'Longest term at once, years', 'years_ahead' => 'Never further ahead than, years', 'end' => 'What follows the end',
        'last_dark_days' => 'Dark for the last renewable days', 'renewable_from_days' => 'Renewable from, days before the end (0: any time)', 'hold_after_created_days' => 'May not move after it was registered, days',
        'hold_after_moved_days' => 'May not move after a move, days', 'moves_by' => 'Moves to another registrar', 'move_adds_years' => 'A move adds, years', 'code_days' => 'A code is good for, days (0: no limit)',
        'has_lock' => 'Registrars can lock it', 'privacy_allowed' => 'A privacy service may stand in the record', 'presence_needed' => 'The holder must live or sit somewhere', 'holder_validated' => 'The registry checks the holder',
        'shows_end' => 'The public record shows the end', 'verify_days' => 'The registrant’s mailbox must be verified within, days (0: no such rule)',
        'registrant_hold_days' => 'May not move after a change of registrant, days (0: no such hold)', 'registrant_confirms' => 'Who confirms a change of registrant', 'roles' => 'The roles that contacts have',
        'published' => 'What the public record shows of the holder',
    ],
    'no_lead' => '“:given” is no number of days from 0 to :most before the end.',
    'moves_by' => ['code' => 'with an auth code', 'tag' => 'by the gaining registrar’s tag', 'mail' => 'by answering a mail'],
    'registrant_confirms' => ['both' => 'the prior and the new registrant', 'new' => 'the new registrant', 'nobody' => 'nobody: the registrar’s word is enough', 'registry' => 'the registry, on a form of its own'],
    'publication' => ['shown' => 'shown', 'choice' => 'shown unless it is withheld', 'consent' => 'redacted unless the holder agrees', 'redacted' => 'redacted'],
    'mark' => ['pub' => 'published', 'cp' => 'common practice', 'mem' => 'from memory: check it'],
];
