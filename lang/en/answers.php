<?php

declare(strict_types=1);

return [
    'codes' => [
        'title' => 'Auth codes',
        'heading' => '{1} The auth code of a domain name, from :house|[2,*] The auth codes of :count domain names, from :house',
        'said' => 'With its auth code, a domain name can be transferred to another registrar. Whoever has the code can do that, so please '
            .'keep it to yourself.',
        'once' => 'They are shown once. Have the order at the new registrar ready, or a safe place to write them down.',
        'show' => 'Show them now',
        'copy' => 'Please copy them now: this page can’t be opened again. Give each to the new registrar with your order.',
        'code' => 'Auth code',
    ],
    'confirm' => [
        'i_am_the_prior' => '{1} I am the present registrant, or act for them, and agree that the name passes to the new one on these '
            .'terms:|[2,*] I am the present registrant, or act for them, and agree that the names pass to the new one on these terms:',
        'nothing_changes_by' => 'The letter went to :mailbox. Nothing changes unless you agree by :day.',
        'nothing_changes' => 'The letter went to :mailbox. Nothing changes unless you agree.',
        'the_new' => 'The new registrant is :who.',
        'asks_prior' => '{1} :house asks whether you agree to a new registrant of this domain name|[2,*] :house asks whether you agree to '
            .'a new registrant of these :told domain names',
        'asks_new' => '{1} :house asks whether you agree to become the registrant of this domain name|[2,*] :house asks whether you agree '
            .'to become the registrant of these :told domain names',
        'do_you_agree' => 'Do you agree?',
        'what_the_record_will_show' => 'What the record will show',
        'i_agree' => 'I agree',
        'i_am_the_new_registrant_or_act' => 'I am the new registrant, or act for them, and agree to this:',
        'you_cant_undo_this_here' => 'You can’t undo this here.',
        'i_dont_agree' => 'I don’t agree',
        'reason_optional' => 'Reason (optional)',
    ],
    'password' => [
        'set_your_password' => 'Set your password',
        'welcome_to' => 'Welcome to :house',
        'set_a_new_password' => 'Set a new password',
        'choose_the_password_you_will' => 'Choose the password you will sign in with.',
        'you_will_be_signed_out' => 'You will be signed out everywhere else. If you use a second factor, you will still be asked for it.',
        'set_the_password' => 'Set the password',
    ],
    'show' => [
        'decline' => '{1} Refuse the name|[2,*] Refuse the names',
        'take' => '{1} Accept the name|[2,*] Accept the names',
        'identify' => '{1} Enter the details of your account, so that the name can’t go to a stranger.|[2,*] Enter the details of your '
            .'account, so that the names can’t go to a stranger.',
        'yes' => '{1} Yes, hand it to me|[2,*] Yes, hand them to me',
        'to_account_by' => 'For your account :account at :registrar. This letter went to :mailbox. Nothing moves unless you agree by :day.',
        'to_account' => 'For your account :account at :registrar. This letter went to :mailbox. Nothing moves unless you agree.',
        'about_to' => '{1} :house is about to hand a domain name to you|[2,*] :house is about to hand :told domain names to you',
        'a_name_is_being_handed_to_you' => 'A name is being handed to you',
        'names_are_being_handed_to_you' => ':count names are being handed to you',
        'and_more' => 'and :count more',
        'paid_until' => 'Paid until',
        'does_not_come_along' => 'Does not come along',
        'nothing_known' => 'nothing known',
        'perhaps' => 'perhaps its :what',
        'afterwards' => 'Afterwards, in your account',
        'afterwards_said' => '{1} At :registrar, check that the contacts of the name are yours, add a way to pay, and turn on auto-renew '
            .'if you want to keep it: nobody else renews it then.|[2,*] At :registrar, check that the contacts of the names are yours, add '
            .'a way to pay, and turn on auto-renew if you want to keep them: nobody else renews them then.',
        'you_cant_undo_this_here' => 'You can’t undo this here.',
        'no' => 'No',
        'reason_optional' => 'Reason (optional)',
    ],
    'told' => [
        'request_another_letter' => 'Request another letter',
    ],
    'verify' => [
        'you_are_late' => '{1} You are the registrant of this domain name. The letter went to :mailbox. An answer was needed by :day; the '
            .'name may be suspended until you answer.|[2,*] You are the registrant of :told domain names. The letter went to :mailbox. An '
            .'answer was needed by :day; the names may be suspended until you answer.',
        'you_are_by' => '{1} You are the registrant of this domain name. The letter went to :mailbox. Please answer by :day, or the name '
            .'is suspended.|[2,*] You are the registrant of :told domain names. The letter went to :mailbox. Please answer by :day, or '
            .'the names are suspended.',
        'you_are' => '{1} You are the registrant of this domain name. The letter went to :mailbox.|[2,*] You are the registrant of :told '
            .'domain names. The letter went to :mailbox.',
        'please_confirm_your_details' => 'Please confirm your details',
        'asks_you_to_confirm_your' => ':house asks you to confirm your details',
        'on_record' => 'On record',
        'this_is_correct' => 'This is correct',
        'i_am_the_registrant_or_act_for' => 'I am the registrant, or act for them, and e-mail to this mailbox reaches us.',
        'something_is_wrong' => 'Something is wrong',
        'what_is_wrong' => 'What is wrong',
        'report_what_is_wrong' => 'Report what is wrong',
    ],
    'renewals' => [
        'title' => 'Which names do you keep?',
        'heading' => '{1} :house asks: do you keep this domain name?|[2,*] :house asks: which of these :count domain names do you keep?',
        'said' => 'Please answer by :by. There is nothing to pay here.',
        'ends' => 'Expires on',
        'price' => 'A year costs',
        'on_request' => 'on request',
        'answer' => 'Your answer',
        'answer_for' => 'Your answer for :name',
        'answers' => [
            '' => 'please choose',
            '1' => 'keep for 1 year',
            '2' => 'keep for 2 years',
            '3' => 'keep for 3 years',
            '5' => 'keep for 5 years',
            '0' => 'let it lapse',
        ],
        'lapse_said' => 'A name that lapses stops working: its web pages, and all mail under it. Others may then register it.',
        'send' => 'Send these answers',
        'all' => 'Keep all for one year',
        'choose_each' => 'Please choose an answer for each name.',
        'thanks' => 'Thank you',
        'kept' => '{1} :house will renew one name for you.|[2,*] :house will renew :count names for you.',
        'let_go' => '{1} One name will be left to lapse.|[2,*] :count names will be left to lapse.',
        'changed' => 'If you change your mind, write to :house.',
    ],
];
