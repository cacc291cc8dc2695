<?php

declare(strict_types=1);

return [
    'changed_meanwhile' => 'Somebody else saved this while you were typing. Nothing of yours is lost: it stands in the form. Open the page in another window to see what they changed, then save again over it or not.',
    'guarded' => 'This decides where passwords, letters or their links go. Ask a Steward or an Owner to change it; everything else can be saved.',
    'fixed' => 'What decides where passwords, letters and their links go is changed by a Steward or an Owner.',
    'guarded_list' => 'This list changes mailboxes at which registrants are asked. A Steward or an Owner must import it.',
    'refused' => '{1} There is a problem|[2,*] There are :count problems', 'refused_title' => 'Error: :title',
    'cut' => 'The first :most; there are more.',
    'currency' => 'There is no such currency: write its code of three letters, such as GBP.',
    'amount' => 'Write an amount such as 120.00, with the currency behind it if it is another than the house’s.',
    'no_role' => 'Names under .:suffix have no such contact any more.',
    'steps' => 'These are no fields of the record: :what.',
    'unknown_names' => 'Not on the Roll: :names.',
    'taken' => 'There is another :what with this :attribute already.',
    'saved' => ':what saved.',
];
