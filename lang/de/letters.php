<?php

declare(strict_types=1);

// Briefe an Kunden; alles andere ist englisch.
return [
    'text' => [
        'ending_month' => [
            'subject' => '{Ein Domainname läuft|:count Domainnamen laufen} innerhalb eines Monats ab',
            'body' => "Guten Tag,\n\n{dieser Domainname wird|diese Domainnamen werden} nicht automatisch verlängert:\n\n:names\n\n"
                .'Wenn Sie {ihn|sie} behalten möchten, geben Sie uns bitte rechtzeitig Bescheid. Nach diesem Tag {funktioniert er|'
                ."funktionieren sie} nicht mehr: weder Webseiten noch E-Mail.\n\nAuch der Registrar schreibt Ihnen dazu vielleicht. "
                ."Bitte bezahlen Sie niemand anderen dafür: Fragen Sie zuerst uns.\n\n:house",
        ],
        'ending_week' => [
            'subject' => '{Ein Domainname läuft|:count Domainnamen laufen} innerhalb einer Woche ab',
            'body' => "Guten Tag,\n\nin spätestens einer Woche {läuft dieser Domainname ab und wird|laufen diese Domainnamen ab und "
                ."werden} nicht automatisch verlängert:\n\n:names\n\nWenn Sie {ihn|sie} behalten möchten, geben Sie uns bitte jetzt "
                ."Bescheid. Nach diesem Tag {funktioniert er|funktionieren sie} nicht mehr: weder Webseiten noch E-Mail.\n\n:house",
        ],
        'ending_today' => [
            'subject' => '{Ein Domainname ist|:count Domainnamen sind} abgelaufen',
            'body' => "Guten Tag,\n\ndie Laufzeit {dieses Domainnamens|dieser Domainnamen} ist vorbei:\n\n:names\n\n{Er kann|Sie können} "
                .'noch einige Tage lang verlängert werden, meist zum üblichen Preis. Wenn Sie {ihn|sie} behalten möchten, geben Sie uns '
                ."bitte sofort Bescheid: Webseiten und E-Mail können jederzeit ausfallen.\n\n:house",
        ],
        'ending_over' => [
            'subject' => 'Letzte Tage für {einen Domainnamen|:count Domainnamen}',
            'body' => "Guten Tag,\n\n{dieser Domainname ist|diese Domainnamen sind} abgelaufen, und niemand hat {ihn|sie} "
                ."verlängert:\n\n:names\n\nBald {wird er|werden sie} gelöscht. Danach {ist er|sind sie} nur noch kurze Zeit und zu einem "
                .'Vielfachen des Preises zurückzubekommen, wenn überhaupt. Wenn Sie {ihn|sie} behalten möchten, geben Sie uns bitte sofort '
                ."Bescheid.\n\n:house",
        ],
        'renewals_first' => [
            'subject' => 'Welche Ihrer Domainnamen möchten Sie behalten? Bitte antworten Sie bis :by',
            'body' => "Guten Tag,\n\n{dieser Domainname läuft|diese :count Domainnamen laufen} bald ab:\n\n:names\n\nBitte sagen Sie uns "
                ."bis :by, welche Sie behalten möchten und wie lange:\n\n:link\n\nDort ist nichts zu bezahlen. Ein Name, der ausläuft, "
                ."funktioniert nicht mehr: weder seine Webseiten noch E-Mail.\n\nDer Link gilt einmal und nur für Sie; bitte geben Sie "
                ."ihn nicht weiter.\n\n:house",
        ],
        'renewals_reminder' => [
            'subject' => 'Bitte antworten Sie bis :by: Welche Domainnamen möchten Sie behalten?',
            'body' => "Guten Tag,\n\nwir haben Sie nach {diesem Domainnamen|diesen :count Domainnamen} gefragt und noch keine Antwort:\n\n"
                .":names\n\nBitte sagen Sie uns bis :by, welche Sie behalten möchten und wie lange. Der Link in unserem früheren Brief "
                ."gilt nicht mehr; dieser gilt:\n\n:link\n\nEin Name, der ausläuft, funktioniert nicht mehr: weder seine Webseiten noch "
                ."E-Mail.\n\n:house",
        ],
    ],
    'more' => '  und :more weitere, die auf der Seite stehen',
];
