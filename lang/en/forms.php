<?php

declare(strict_types=1);

return [
    'changed_meanwhile' => 'Somebody else saved this while you were typing. What you typed is still in the form. Open the page in another '
        .'window to see their changes, then save again to replace them.',
    'guarded' => 'This decides where passwords, letters or links go. Only a Steward or an Owner can change it; you can save everything '
        .'else.',
    'fixed' => 'Only a Steward or an Owner can change where passwords, letters and links go.',
    'guarded_list' => 'This list changes mailboxes of registrants. A Steward or an Owner must import it.',
    'refused' => '{1} There is a problem|[2,*] There are :count problems',
    'refused_title' => 'Error: :title',
    'cut' => 'Showing the first :most; there are more.',
    'currency' => 'Enter a currency code of three letters, such as GBP.',
    'amount' => 'Enter an amount such as 120.00, followed by the currency if it is not yours.',
    'no_role' => 'Names under .:suffix no longer have such a contact.',
    'agreements' => 'Line :line needs a name, and then an address that begins with https://.',
    'steps' => 'These are not fields of the record: :what.',
    'unknown_names' => 'Not on the Roll: :names.',
    'taken' => 'There is another :what with this :attribute already.',
    'saved' => ':what saved.',
    'custody_to' => 'Choose who takes over.',
    'custody_to_other' => 'Choose somebody else who has not left.',
    'custody_accounts' => 'Select at least one account.',
    'custody_why' => 'Enter why it is left unchanged.',
    'erase_how' => 'Enter how it was requested; leave out the person’s name.',
    'merge_keep' => 'Choose which contact to keep.',
    'merge_others' => 'Select the contacts to merge into it.',
    'merge_gone' => 'The contact to keep has been merged into another.',
    'no_contact' => 'There is no contact with that number.',
    'choose_contact' => 'Choose a contact.',
    'choose_cards' => 'Choose a vCard file, such as contacts.vcf.',
    'verify_evidence' => 'Enter the evidence: whom you spoke to and when, or what the registrar shows.',
    'answered_how' => 'Enter what you answered, and how.',
];
