<?php

declare(strict_types=1);

return [
    'hand_over' => [
        'same_clients' => 'the same clients',
        'title' => 'Hand over',
        'headline' => '{1} Hand one name to :whose|[0,*] Hand :names names to :whose',
        'with_registrant' => '; new registrant: :who',
        'accepted_by' => '; accepted by :mailbox on :on',
        'one_line' => 'hand over to :registrar :account, for :client, answer by :by',
        'short' => 'handed to :registrar :account, for :client',
    ],
    'give_to_client' => [
        'title' => 'Change the :served',
        'headline' => '{1} Hold one name for :client|[0,*] Hold :names names for :client',
        'one_line' => 'hold for :client, in the accounts where they are',
        'explained' => 'Changes for whom names are held, in our record. Account, registrar and registrant stay the same.',
        'after' => 'Takes effect at once. Nobody outside is asked. You can undo it until somebody changes it again.',
    ],
    'change_intent' => [
        'title' => 'Change the intent',
        'headline' => '{1} Set one name to “:intent”|[0,*] Set :names names to “:intent”',
        'one_line' => 'intent: :intent',
        'explained' => 'What we intend to do at the end of the term, in our record. What each registrar does automatically is set on its '
            .'own page.',
        'after' => 'Takes effect at once. Nobody outside is asked. You can undo it until somebody changes it again.',
    ],
    'record_renewal' => [
        'title' => 'Record a renewal',
        'headline' => '{1} Record the renewal of one name, :years|[0,*] Record the renewal of :names names, :years',
        'one_line' => 'renewed :years',
        'for' => 'Renewed for',
        'years' => '{1} for one year|[2,*] for :count years',
        'explained' => 'For names that were renewed at their registrar: records their new expiry here. Nothing is renewed or paid.',
        'after' => 'Takes effect at once. You can undo it until somebody changes the expiry again. If the registry disagrees, the next '
            .'check shows it.',
    ],
    'change_words' => [
        'title' => 'Change words',
        'headline' => '{1} One name: :change|[0,*] :names names: :change',
        'one_line' => 'words: :change',
        'explained' => 'Words are your own labels; you can filter the Roll by them.',
        'after' => 'Takes effect at once. You can undo it until somebody changes it again.',
    ],
    'remove_names' => [
        'title' => 'Remove names we no longer hold',
        'headline' => '{1} Remove one name from our record|[0,*] Remove :names names from our record',
        'one_line' => 'no longer ours: :because; :then',
        'then' => ['watch' => 'stays on the Roll, only watched', 'end' => 'leaves the Roll; its history stays'],
        'explained' => 'For names that were transferred away, deleted or given up. Nothing changes at the registrar: a name still in one '
            .'of our accounts keeps its cost and its expiry.',
        'after' => 'Takes effect at once and can’t be undone. A name that comes back can be added again, with its history.',
    ],
    'change_lock' => [
        'title' => 'Set or lift the lock',
        'headline' => '{1} :change of one name|[0,*] :change of :names names',
        'one_line' => ':change',
        'to' => ['on' => 'Set the lock', 'off' => 'Lift the lock'],
        'differs' => ':here here, :there at the registry',
        'explained' => 'The transfer lock prevents a transfer to another registrar. An order is sent where the registrar takes commands; '
            .'elsewhere a slip says what to do.',
        'after' => 'It is done when the registrar confirms it. To reverse it, start another docket.',
    ],
    'change_auto_renew' => [
        'title' => 'Turn auto-renew on or off',
        'headline' => '{1} :change: one name|[0,*] :change: :names names',
        'one_line' => ':change',
        'to' => ['on' => 'Turn on auto-renew', 'off' => 'Turn off auto-renew'],
        'explained' => 'What the registrar does at the end of the term, and our intent with it. An order is sent where the registrar '
            .'takes commands; elsewhere a slip says what to do.',
        'after' => 'It is done when the registrar confirms it. Nothing is paid.',
    ],
    'change_registrant' => [
        'title' => 'Change the registrant',
        'headline' => '{1} Make :who the registrant of one name|[0,*] Make :who the registrant of :names names',
        'headline_correct' => '{1} Tell the registrar of one name what :who is today|[0,*] Tell the registrars of :names names what :who '
            .'is today',
        'one_line' => 'new registrant: :who',
        'said_yes' => '; :who agreed on :on',
        'as_agent' => '; we agreed as designated agent of :whose',
        'explained' => 'A new legal holder. Before anything is done you see, for each name, what the change starts and who must confirm '
            .'it. The present registrant stays in the history.',
        'explained_correct' => 'The registrant stays the same, but their registrars have older data. If the name, organisation or mailbox '
            .'changed, the rules may require confirmation; anything else is simply sent.',
        'after' => 'Whoever must confirm is asked by letter first; then it is done at the registrar. You can’t undo it: to go back, '
            .'change the registrant again.',
        'agent' => [
            'nobody' => 'nobody: those who must agree are asked by letter',
            'prior' => 'the present registrant',
            'new' => 'the new registrant',
            'both' => 'both',
        ],
        'not_known' => 'not known',
        'no_mailbox' => 'no mailbox',
        'nothing' => 'not known',
    ],
    'change_disclosure' => [
        'title' => 'Change disclosure',
        'headline' => '{1} One name: show “:pattern”|[0,*] :names names: show “:pattern”',
        'one_line' => 'disclosure: :pattern',
        'explained' => 'Which registrant fields the public record shows, as far as suffix and registrar allow. Showing more than today '
            .'needs the registrant’s consent.',
        'after' => 'It is done when the registrar confirms it. Directories show it within minutes or a few days, and the docket says '
            .'when. To reverse it, start another docket.',
        'not_known' => 'not known',
        'slip_shown' => 'show',
        'slip_hidden' => 'withhold',
    ],
    'change_servers' => [
        'title' => 'Change name servers',
        'headline' => '{1} Move one name to the name servers of :set|[0,*] Move :names names to the name servers of :set',
        'one_line' => 'name servers: :set',
        'explained' => 'Before anything changes, the present and the new name servers are asked what they have of each name. An order '
            .'is sent where the registrar takes commands; elsewhere a slip says what to enter.',
        'after' => 'A copy of each zone is kept first. The docket then watches until registry, servers and caches agree. You can change '
            .'back while the old servers still answer.',
        'back' => 'before docket :docket',
        'servers' => 'name servers',
        'of' => 'name servers of :names',
    ],
    'change_records' => [
        'title' => 'Change records',
        'headline' => '{1} Change records of one name|[0,*] Change records of :names names',
        'one_line' => 'records: :records',
        'explained' => 'Records in the zones of these names, as whoever keeps each zone should set them. What the change breaks is read '
            .'from the newest copy of each zone.',
        'after' => 'Where the registrar keeps the zone and takes commands over its bridge, an order is sent. Elsewhere a slip says what '
            .'to set, for whoever runs the name servers. A copy of each zone is kept first, and the docket watches until every server '
            .'says it.',
        'records' => 'records',
        'typed' => 'Records as they should be',
        'typed_said' => 'One on each line, as in a zone file: “www A 192.0.2.1”, “@ 300 MX 10 mail.example.”. All records of a host and '
            .'type are replaced. A dash removes them: “- old CNAME”.',
        'wrong' => 'These lines can’t be read:',
    ],
    'redirect_names' => [
        'title' => 'Redirect to one address',
        'headline' => '{1} Redirect one name to :target|[0,*] Redirect :names names to :target',
        'one_line' => 'redirect to :target',
        'explained' => 'Visitors of these names are redirected to one address. Redirect loops, and targets that redirect on, are found '
            .'before anybody sets anything.',
        'after' => 'A slip says what to set, for whoever redirects these names. The docket shows when visitors really arrive there.',
        'target' => 'redirects to',
        'target_typed' => 'Where they should redirect to',
        'target_said' => 'A whole address, for example https://wickerby-bells.com/.',
        'status' => 'kind',
        'for' => 'Kind of redirect',
        'permanent' => 'permanent (301)',
        'temporary' => 'temporary (302)',
        'permanent_said' => 'Browsers and search engines remember a permanent one.',
        'path' => 'path',
        'kept' => 'kept: /page redirects to /page there',
        'dropped' => 'dropped: every page redirects to that address',
        'path_typed' => 'Keep the path: “/peals” redirects to “/peals” there',
        'hosts' => 'hosts',
        'alone' => 'the name itself',
        'with_www' => 'the name itself, and www',
        'www_typed' => '“www” too',
        'place' => 'Who redirects them',
        'no_place' => 'The registrar, or not said',
        'wrong' => 'That is no web address: it begins with https://',
    ],
    'transfer' => [
        'title' => 'Transfer to another registrar',
        'headline' => '{1} Transfer one name to :registrar|[0,*] Transfer :names names to :registrar',
        'one_line' => 'transfer to :registrar :account',
        'explained' => 'Names go to an account of ours at another registrar. Each is judged first: holds, locks, codes, dates, money, '
            .'approval and name servers.',
        'after' => 'Each registrar that takes commands is told its part, in order: lock lifted, auth code, ordered and paid, approved. '
            .'Elsewhere a slip says what to do. Afterwards the lock is set again. It can be cancelled until the losing registrar has '
            .'answered.',
        'to_account' => 'To the account',
        'renews' => 'Turn on auto-renew there',
        'costs' => 'Costs :sum with tax, paid when ordered.',
        'arrives' => 'Arrives between :first and :last, likely by :likely.',
        'ends_on' => 'expires :day',
    ],
    'refuse_transfer' => [
        'title' => 'Refuse a transfer that we did not start',
        'headline' => '{1} Refuse the transfer of one name|[0,*] Refuse the transfers of :names names',
        'one_line' => 'refuse a transfer that we did not start',
        'explained' => 'Somebody has requested these names at another registrar. The registrar where they are can refuse that within five '
            .'days, if the holder objects.',
        'after' => 'An order is sent where the registrar takes commands. Elsewhere a slip says what to do: ring it today. Then set the '
            .'lock, and get a new auth code, as somebody knows the old one.',
        'before' => 'being transferred away',
        'then' => 'stays at :registrar',
    ],
    'transfer_away' => [
        'title' => 'Transfer to somebody else’s registrar',
        'headline' => '{1} Prepare one name to leave for :registrar|[0,*] Prepare :names names to leave for :registrar',
        'one_line' => 'transfer away to :registrar',
        'explained' => 'Names leave for a registrar where we have no account. We lift the lock, get the auth codes, give them to whoever '
            .'orders the transfer there, and watch until the names have gone.',
        'after' => 'Where the registrar takes commands, it is told; elsewhere a slip says what to do. When a name has gone, our record is '
            .'closed and the name is watched. Until then it can be cancelled: the lock is set again.',
        'to' => 'New registrar',
        'to_said' => 'As its people call it.',
        'mailbox' => 'Who gets the auth codes',
        'mailbox_said' => 'A letter leads to a page that shows them once. Leave it empty to tell the codes yourself.',
        'no_mailbox' => 'That is no e-mail address.',
        'tag' => 'Its registrar tag',
        'tag_said' => 'Only for names that are transferred by tag, such as .uk.',
        'watched_for' => 'transferred away to :registrar',
        'handed' => 'The auth codes were sent to :mailbox on :day, as a link.',
        'shown' => 'The auth codes were shown to :mailbox on :day.',
        'again' => 'Send another link',
        'sent_again' => 'Another letter is on its way. The link in the earlier one no longer works.',
    ],
    'codes' => [
        'enter' => '{1} Enter the auth code of one name|[2,*] Enter the auth codes of :count names',
        'label' => 'Names and their auth codes',
        'said' => 'One pair on each line, as in “wickerby-bells.com q8R-t1Yz”. They are stored encrypted and not shown again on this page.',
        'keep' => 'Store these codes',
        'kept' => '{0} No code was stored.|{1} One code is stored.|[2,*] :count codes are stored.',
        'not_taken' => 'These lines were not taken:',
        'refused' => [
            'no_name' => 'Line :line does not begin with a name.',
            'not_on_roll' => 'The name on line :line is not on the Roll.',
            'no_code' => 'Line :line has no code.',
            'not_printable' => 'The code on line :line has blanks or letters that no auth code has.',
            'too_many' => 'Line :line is beyond the 1,000 that are taken at once.',
        ],
    ],
    'change_keys' => [
        'title' => 'Turn DNSSEC on or off',
        'headline' => '{1} :change for one name|[0,*] :change for :names names',
        'one_line' => ':change',
        'to' => ['on' => 'Turn on DNSSEC', 'off' => 'Turn off DNSSEC'],
        'dnssec' => 'DNSSEC',
        'explained' => 'DNSSEC lets resolvers check that an answer is genuine. The registry needs a DS record of the zone’s key; it is '
            .'made from the keys that the name servers have. An order is sent where the registrar takes commands; elsewhere a slip says '
            .'what to enter.',
        'after' => 'It is done when the registrar confirms it. To reverse it, start another docket.',
        'verified' => 'Each zone’s signatures were verified with the DS record that would be sent. What would not hold is not sent.',
        'not_known' => 'not known',
        'none' => 'no DS record',
        'of' => 'DS records of :name',
    ],
    'restore_servers' => [
        'title' => 'Restore our name servers',
        'headline' => '{1} Restore the name servers of one name|[0,*] Restore the name servers of :names names',
        'one_line' => 'our name servers restored',
        'explained' => 'For names whose name servers at the registry differ from our record. An order is sent where the registrar takes '
            .'commands; elsewhere a slip says which servers each name gets.',
        'after' => 'It is done when the registrar confirms it. Cached answers expire within the registry’s TTL, up to two days. Whoever '
            .'changed the servers may do it again: change the account’s password first.',
        'of' => 'name servers of :names',
    ],
    'request_code' => [
        'title' => 'Request auth codes',
        'headline' => '{1} Request the auth code of one name|[0,*] Request the auth codes of :names names',
        'one_line' => 'request the auth code',
        'explained' => 'Anyone with its auth code can transfer a name to another registrar. The code is stored encrypted, and shown on '
            .'the folio after you enter your password. An order is sent where the registrar takes commands; elsewhere a slip says what to '
            .'do, and you enter the code on the folio.',
        'after' => 'It is done when the registrar has sent the code. The name itself does not change.',
        'before' => 'known to the registrar',
        'then' => 'sent to us, and stored encrypted',
    ],
    'update_our_record' => [
        'title' => 'Update our record',
        'headline' => '{1} Update :what of one name from the registry|[0,*] Update :what of :names names from the registry',
        'one_line' => 'update :what from the registry',
        'explained' => 'Our record takes over what the directories say, with the source and the time. Nothing changes at the registry.',
        'after' => 'Takes effect at once. Nobody outside is asked. You can undo it until somebody changes it again.',
    ],
    'keep_our_record' => [
        'title' => 'Keep ours',
        'headline' => '{1} Keep our record of one name: :because|[0,*] Keep our record of :names names: :because',
        'one_line' => 'our record kept: :because',
        'explained' => 'The Roll and the registry stay different, with your reason on record. If the registry changes again, the '
            .'difference is reported again.',
        'after' => 'Takes effect at once. You can undo it.',
    ],
    'undo_docket' => [
        'title' => 'Undo',
        'headline' => '{1} Undo docket :docket for one name|[0,*] Undo docket :docket for :names names',
        'one_line' => 'undo docket :docket',
        'explained' => 'Reverses what the docket changed in our record. A name that somebody has changed since keeps that change. For '
            .'work done at a registrar, this only corrects lines marked by mistake: no order is sent.',
        'after' => 'Takes effect at once. Both dockets keep their proofs.',
    ],
    // What stands in the way of a group of names, after “12 can’t:”. A finding without a word here says its own sentence.
    'in_the_way' => [
        'servers' => [
            'no_address' => 'a new name server has no address',
            'is_alias' => 'a new name server is an alias',
            'needs_glue' => 'a new name server lies inside the name, and its address is missing',
            'one_does_not_answer' => 'one of the new name servers does not answer',
            'loses_mail' => 'mail would not arrive',
            'mail_elsewhere' => 'mail would go elsewhere',
            'loses_web' => 'pages would not be found',
            'loses_mail_trust' => 'mail would look forged',
            'loses_part' => 'a part would not work',
            'loses_other' => 'other records would be lost',
        ],
        'registrant' => [
            'new_has_no_mailbox' => 'the new registrant has no mailbox',
            'while_moving' => 'a movement is under way',
            'prior_not_reached' => 'the present registrant can’t be reached by letter',
            'no_agreement' => 'it is not said what is agreed to',
            'no_authority' => 'the authority is not stated',
        ],
        'disclosure' => [
            'no_choice' => 'their suffix allows no choice',
            'needs_consent' => 'their registrant must agree first',
            'nobody_to_show' => 'their registrant is not known',
        ],
        'books' => [
            'already_so' => 'already so',
            'changed_since' => 'changed again since',
            'said_by_registrar' => 'already done, according to the registrar or the public record',
            'never_done' => 'it was not done',
            'no_lock' => 'their suffix has no lock',
            'no_servers' => 'their name servers are not on record',
            'updates_prohibited' => 'changes are prohibited at the registry',
            'only_watched' => 'only watched, in none of our accounts',
            'nothing_seen' => 'there is nothing to update from the registry',
        ],
        'movement' => [
            'under_way' => 'another movement is under way',
            'other_registrar' => 'at another registrar',
            'already_there' => 'in that account already',
            'no_access' => 'in accounts we have no access to',
            'past_end' => 'past their expiry: renew first',
            'in_redemption' => 'deleted: restore first',
            'gone_for_good' => 'can no longer be kept',
            'maybe_renewed' => 'past their expiry, and renewal is not confirmed',
            'end_not_known' => 'their expiry is not known',
            'ends_today' => 'they expire too soon to be accepted',
            'transfer_pending' => 'a transfer to another registrar is pending',
            'held_at_registrar' => 'held by the registrar after an earlier handover',
            'lock_not_known' => 'whether the lock is on is not known',
        ],
    ],
    'errors' => [
        'nothing_can_go' => 'None of these names can be processed now, so nothing was done. The table gives the reason for each.',
        'shown_has_changed' => 'Something has changed since this page was loaded: it would now do more than it showed. Nothing was done. '
            .'Check the page and try again.',
        'not_prepared' => 'Somebody has settled or cancelled this docket in the meantime. Nothing was done twice.',
        'not_yet' => ':date is in the future. Enter the day on which it was done.',
        'before_settled' => 'Enter a day from :settled onwards: on :date this docket was not settled yet.',
        'before_it_began' => ':name came into its account on :date, so it can’t have left it before.',
        'not_held' => ':name is no longer held here: cancel its line instead.',
        'no_reason' => 'Enter why it was refused; the proof will include it.',
        'nobody_chosen' => 'Choose the receiving account first.',
        'nobody_to_ask' => 'No answer is due any more, or the receiving account has no mailbox. No letter was sent.',
        'names_another' => 'These are not the details of the receiving account. Nothing was changed. Check how the registrar identifies '
            .'your account, and try again.',
        'nobody_meant' => 'No contact or more than one matches, or the authority is missing: nothing was started',
        'side_said_no' => ':who refused',
        'receiver_refused' => 'The receiver refused the handover',
        'nothing_ticked' => 'Select at least one name first.',
        'no_terms' => 'Choose first what should change.',
        'none_again' => 'None of its names failed or was refused.',
    ],
    'groups' => [
        'leave_out' => '{1} Leave it out|[2,*] Leave them out',
        'put_back' => '{1} Include it again|[2,*] Include them again',
        'what_is_in_the_way' => 'What is in the way',
        'left_out' => ':count left out: :finding',
        'cant' => ':count can’t:',
    ],
    'picture' => [
        'change_disclosure' => [
            'shown_on' => 'Shown today (seen :day)',
            'shown_since' => 'Shown today (seen since :day)',
            'shown_today' => 'Shown today',
            'by_rule_of' => 'by the rule of .:suffix',
            'by_rules' => 'by rule',
            'what_the_public_record_shows' => 'What the public record shows of the registrant, now and afterwards',
            'field' => 'Field',
            'our_record' => 'Our record',
            'shown_afterwards' => 'Shown afterwards',
            'where_different' => 'Where different',
            'nothing' => 'nothing',
            'more_than_one' => 'more than one',
            'shown' => 'shown',
            'withheld_by_choice' => 'withheld by choice',
            'redacted_by_rule' => 'redacted by rule',
            'a_privacy_services_data' => 'a privacy service’s data',
            'only_the_first_two_are_a' => 'Only the first two are a choice, where suffix and registrar allow it. Directories show a '
                .'change within minutes or a few days.',
        ],
    ],
    'show' => [
        'show_all' => 'Show all',
        'more_alike' => 'Not shown: :names, judged in the same way.',
        'docket' => 'docket :integer',
        'the_sheaf' => 'the sheaf',
        'for' => 'For',
        'and_more' => 'and :about more',
        'what_changes_for_each_name' => 'What changes for each name',
        'before' => 'Before',
        'after' => 'After',
        'reasons' => 'Reasons',
        'what_will_happen' => 'What will happen',
        'of_can_go_now' => ':clear of :kept can go now.',
        'cant' => ':stopped can’t.',
    ],
    'terms' => [
        'change_auto_renew' => [
            'at_the_end_of_the_term' => 'At the end of the term',
            'auto_renew' => 'auto-renew',
            'do_not_auto_renew' => 'do not auto-renew',
        ],
        'change_disclosure' => [
            'disclosure_pattern' => 'Disclosure pattern',
            'this_shows_more_than_today_who' => 'This shows more than today. Who agreed?',
            'who_agreed_and_in_what_words' => 'Who agreed, and in what words',
            'stored_with_the_docket' => 'Stored with the docket',
            'agreed_on' => 'Agreed on',
            'empty_today' => 'Empty: today',
        ],
        'change_lock' => [
            'transfer_lock' => 'Transfer lock',
            'set' => 'Set',
            'lift' => 'Lift',
        ],
        'change_registrant' => [
            'agreement_and_confirmation' => 'Agreement and confirmation',
            'empty_in_two_weeks' => 'Empty: in two weeks',
        ],
        'change_words' => [
            'words_to_add' => 'Words to add',
            'separated_by_commas_new_words' => 'Separated by commas; new words are created',
            'words_to_remove' => 'Words to remove',
            'separated_by_commas' => 'Separated by commas',
        ],
        'give_to_client' => [
            'from_now_on_held_for' => 'From now on held for',
            'choose' => 'choose',
        ],
        'keep_our_record' => [
            'what_to_keep' => 'What to keep',
            'reason' => 'Reason',
        ],
        'remove_names' => [
            'afterwards' => 'Afterwards',
            'what_happened_to_them' => 'What happened to them',
            'for_example_transferred_to' => 'For example: transferred to their own account at another registrar, as agreed on 3 October',
        ],
        'registrant' => [
            'the_new_registrant' => 'The new registrant',
            'the_number_the_mailbox_or_the' => 'The number, the mailbox or the name of a contact. If it is missing, add it under People '
                .'first',
            'no_contact_or_more_than_one' => 'No contact, or more than one, matches. Enter its number, which is on its page.',
            'what_was_agreed_to_and_when' => 'What was agreed to, and when',
            'the_name_and_date_of_the' => 'The name and date of the registrar’s text; stored with the docket. A mere correction needs no '
                .'agreement',
            'we_confirm_on_behalf_of' => 'We confirm on behalf of',
            'as_designated_agent_if_they' => 'As designated agent, if they have authorised us',
            'authority' => 'Authority',
            'who_agreed_and_how_if_they_do' => 'Who agreed, and how, if they do not answer a letter of ours',
            'enter_the_authority_on_which' => 'Enter the authority on which we confirm for somebody else.',
        ],
        'update_our_record' => [
            'what_to_update' => 'What to update',
        ],
    ],
];
