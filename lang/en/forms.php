<?php

declare(strict_types=1);

return [
    'changed_meanwhile' => 'Somebody else saved this while you were typing. What you typed is still in the form. Open the page in another window to see their changes, then save again to replace them.',
    'guarded' => 'This decides where passwords, letters or links go. Only a Steward or an Owner can change it; you can save everything else.',
    'fixed' => 'Only a Steward or an Owner can change where passwords, letters and links go.',
    'guarded_list' => 'This list changes mailboxes of registrants. A Steward or an Owner must import it.',
    'refused' => '{1} There is a problem|[2,*] There are :count problems', 'refused_title' => 'Error: :title',
    'cut' => 'Showing the first :most; there are more.',
    'currency' => 'Enter a currency code of three letters, such as GBP.',
    'amount' => 'Enter an amount such as 120.00, followed by the currency if it is not yours.',
    'no_role' => 'Names under .:suffix no longer have such a contact.',
    'steps' => 'These are not fields of the record: :what.',
    'unknown_names' => 'Not on the Roll: :names.',
    'taken' => 'There is another :what with this :attribute already.',
    'saved' => ':what saved.',
];
