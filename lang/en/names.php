<?php

declare(strict_types=1);

return [
    'none_known' => 'None of these is on the Roll: :unknown.',
    'some_unknown' => '{1} One was not found on the Roll and is left out: :unknown.|[2,*] :count were not found on the Roll and are left out: :unknown.',
    'price' => ['yearly' => ':sum a year', 'none' => 'no price on record', 'late' => ':sum now:yearly', 'then' => ', then :sum a year'],
    'add' => [
        'title' => 'Add a name', 'says' => 'One name, entered by hand. What you leave empty is not known; the registry is asked, and shows what is missing.', 'many' => 'Import many from a spreadsheet instead',
        'no_account' => 'Add an account first: every name lies in one', 'make_account' => 'Add an account', 'name_note' => 'Such as wickerby-bells.com; an address pasted from a browser is read too',
        'there' => ':name is on the Roll already.', 'done' => ':name is on the Roll.',
    ],
    'field' => ['created_on' => 'the day of registration', 'ends_on' => 'the end', 'lock' => 'the lock', 'servers' => 'the name servers', 'statuses' => 'the statuses'],
    'history' => [
        'title' => 'Changes of :name', 'heading' => 'Changes of', 'caption' => 'What happened to it, the last first', 'none' => 'Nothing was changed yet.',
        'consents' => 'Consents', 'registrants' => 'Registrants', 'ever' => 'since it is known', 'source' => 'source: :source', 'from' => ['typed' => 'entered by hand', 'brought_in' => 'imported'], 'until' => 'until :at', 'asked' => 'asked at :mailbox on :at',
        'side' => ['prior' => 'The registrant until then', 'new' => 'The new registrant', 'receiver' => 'The receiving account'],
        'agreed' => ['yes' => 'agreed', 'no' => 'refused', 'open' => 'has not answered'],
        'see' => 'All changes, with who and why', 'why' => 'Why', 'why_note' => 'Needed where you change what the registry gave', 'why_needed' => 'Say why: :what came from the registry.',
    ],
    // What happens on a day to come; without a sum it is said as `words.event` says it.
    'cures' => 'What to do:',
    'coming' => [
        'charge' => 'Auto-renews for :sum', 'renewed' => 'Runs on until :until', 'last_plain' => 'Last day at the normal price; then :sum late fee', 'deleted' => 'Deleted; restoring it costs :sum',
        'verified' => 'The registrant must have verified their mailbox', 'perhaps' => ':what, perhaps',
    ],
    'changed' => 'What is known of :name is saved.',
    'symbol_in_label' => 'The label “:about” has a symbol that registries don’t take (RFC 5892)',
    'mixed_scripts' => 'The label “:about” mixes scripts, which registries don’t take and people misread',
    'reserved_hyphens' => 'The label “:about” has hyphens in the third and fourth place, which registries keep for encodings',
    'unknown_suffix' => '.:about is not on the public suffix list that ships with Acre Roll',
    'code' => ['none' => 'No code of it is kept.', 'kept' => 'The code is kept, sealed.', 'forgotten' => 'The code is forgotten here; at the registrar it stays as it is.', 'printable' => 'A code has letters, digits and signs, and no blanks.'],
];
