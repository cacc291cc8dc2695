<?php

declare(strict_types=1);

// What happens at a name's end, as a client is told.
return [
    'docket' => ['prepared' => 'prepared', 'settled' => 'under way'],
    'year' => 'Yearly cost:', 'first' => 'Names, most urgent first', 'names' => 'Name', 'more' => '{1} One more name on the Roll|[2,*] :count more names on the Roll',
    'open' => 'Open dockets', 'registrants' => 'Registrants', 'count' => '{1} one name|[2,*] :count names',
    'then' => ['by_itself' => 'it auto-renews', 'when_told' => 'we renew it if you tell us to', 'ask_client' => 'we ask you first', 'lapse' => 'it lapses'],
    'merge' => [
        'open' => 'Merge', 'title' => 'Merge another :served into :kept', 'what' => 'For two entries of the same :served. Names of the other entry, now and in the past, become names of this one.',
        'alike' => 'Similar names:', 'other' => 'The other entry', 'choose' => 'choose one', 'look' => 'Preview', 'moves' => 'From :other to :kept',
        'count' => [
            'names' => '{1} one name that is held today|[2,*] :told names that are held today', 'past' => '{1} one name of the past|[2,*] :told entries of the past', 'watched' => '{1} one name that is only watched|[2,*] :told names that are only watched',
            'accounts' => '{1} one account|[2,*] :told accounts', 'contacts' => '{1} one contact|[2,*] :told contacts', 'notes' => '{1} one note|[2,*] :told notes',
        ],
        'nothing' => 'nothing: it has no names, accounts, contacts or notes', 'spelling' => '“:other” is kept as another spelling for imports. Its mailbox and pattern are used only if this entry has none. You can’t undo this.',
        'do' => 'Merge :other into :kept', 'done' => ':other is now part of :kept.', 'not_there' => 'Choose another entry: this one no longer exists.', 'house' => 'Your own organisation can’t be merged into another.',
    ],
    'form' => [
        'change' => 'Change :client',
        'add_a' => 'Add a :served',
        'disclosure_pattern_for_its' => 'Disclosure pattern for its names',
    ],
    'index' => [
        'in_all_a_is_neither_the' => ':total in all. A :served is neither the registrant of a name nor the account that holds it.',
        'add_a' => 'Add a :served',
        'no_yet' => 'No :served yet',
        'import_names_mentioned_in_the' => 'Import names: :served_many mentioned in the file are offered to be added. Or add one yourself.',
        'urgent' => 'Urgent',
        'ends_first' => 'Ends first',
        'ourselves' => 'ourselves',
    ],
    'sheet' => [
        'all_in_csv' => 'The CSV export has all of them.',
        'cost' => '{1} One of them costs :sum a year.|[2,*] :told of them cost :sum a year.',
        'as_of' => '{1} As of :day: one name.|[0,*] As of :day: :told names.',
        'trail' => 'sheet',
        'domain_names_of' => 'Domain names of :client',
        'a_year_costs' => 'A year costs ',
        'after_that' => 'After that',
        'a_year' => 'A year',
        'as_csv' => 'As CSV',
        'as_a_calendar' => 'As a calendar',
    ],
    'show' => [
        'watched' => '{1} One name is only watched.|[2,*] :told names are only watched.',
        'urgent' => '{1} One of them is urgent.|[2,*] :told of them are urgent.',
        'names_ours' => '{1} One name is held for ourselves.|[2,*] :told names are held for ourselves.',
        'names' => '{1} One name is held for them.|[2,*] :told names are held for them.',
        'none_ours' => 'No names are held for us yet.',
        'none' => 'No names are held for them yet.',
        'names_sheet' => 'Names sheet',
        'select_every_name_on_this_page' => 'Select every name on this page',
        'add_the_selected_names_to_the' => 'Add the selected names to the sheaf',
        'docket' => 'docket :id',
        'registrars_and_accounts' => 'Registrars and accounts',
        'account' => 'account :account_number',
        'nowhere' => 'Nowhere',
        'no_names' => 'no names',
        'their_own_accounts' => 'Their own accounts',
        'we_can_sign_in' => 'we can sign in',
        'only_they_can' => 'only they can',
        'our_own_accounts_belong_to_no' => 'our own accounts belong to no :served',
        'their_names_are_in_our' => 'their names are in our accounts',
        'details' => 'Details',
    ],
];
