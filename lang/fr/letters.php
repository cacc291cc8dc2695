<?php

declare(strict_types=1);

// Lettres aux clients ; tout le reste est en anglais.
return [
    'text' => [
        'ending_month' => [
            'subject' => '{Un nom de domaine expire|:count noms de domaine expirent} dans moins d’un mois',
            'body' => "Bonjour,\n\n{ce nom de domaine n’est pas renouvelé|ces noms de domaine ne sont pas renouvelés} "
                ."automatiquement :\n\n:names\n\nSi vous souhaitez {le|les} garder, dites-le-nous à temps. Après ce jour, {il ne "
                ."fonctionne plus|ils ne fonctionnent plus} : ni les pages web, ni le courrier électronique.\n\nLe bureau "
                ."d’enregistrement vous écrira peut-être aussi. Ne payez personne d’autre pour cela : demandez-nous d’abord.\n\n:house",
        ],
        'ending_week' => [
            'subject' => '{Un nom de domaine expire|:count noms de domaine expirent} dans moins d’une semaine',
            'body' => "Bonjour,\n\ndans une semaine au plus {ce nom de domaine expire, et il n’est pas renouvelé|ces noms de domaine "
                ."expirent, et ils ne sont pas renouvelés} automatiquement :\n\n:names\n\nSi vous souhaitez {le|les} garder, dites-le-nous "
                .'maintenant. Après ce jour, {il ne fonctionne plus|ils ne fonctionnent plus} : ni les pages web, ni le courrier '
                ."électronique.\n\n:house",
        ],
        'ending_today' => [
            'subject' => '{Un nom de domaine a expiré|:count noms de domaine ont expiré}',
            'body' => "Bonjour,\n\nla durée de {ce nom de domaine|ces noms de domaine} est écoulée :\n\n:names\n\n{Il peut|Ils peuvent} "
                .'encore être {renouvelé|renouvelés} pendant quelques jours, le plus souvent au prix habituel. Si vous souhaitez {le|les} '
                ."garder, dites-le-nous tout de suite : les pages web et le courrier peuvent s’arrêter à tout moment.\n\n:house",
        ],
        'ending_over' => [
            'subject' => 'Derniers jours pour {un nom de domaine|:count noms de domaine}',
            'body' => "Bonjour,\n\n{ce nom de domaine a expiré, et personne ne l’a renouvelé|ces noms de domaine ont expiré, et personne "
                ."ne les a renouvelés} :\n\n:names\n\nBientôt {il sera supprimé|ils seront supprimés}. Ensuite on ne peut {le|les} "
                .'récupérer que peu de temps et à un prix bien plus élevé, si cela est encore possible. Si vous souhaitez {le|les} garder, '
                ."dites-le-nous tout de suite.\n\n:house",
        ],
        'renewals_first' => [
            'subject' => 'Quels noms de domaine souhaitez-vous garder ? Merci de répondre avant le :by',
            'body' => "Bonjour,\n\n{ce nom de domaine expire|ces :count noms de domaine expirent} bientôt :\n\n:names\n\nDites-nous avant "
                ."le :by lesquels vous souhaitez garder, et pour combien de temps :\n\n:link\n\nIl n’y a rien à payer. Un nom qui expire "
                ."ne fonctionne plus : ni ses pages web, ni son courrier.\n\nCe lien ne sert qu’une fois et n’est que pour vous ; ne le "
                ."transmettez pas.\n\n:house",
        ],
        'renewals_reminder' => [
            'subject' => 'Merci de répondre avant le :by : quels noms de domaine souhaitez-vous garder ?',
            'body' => "Bonjour,\n\nnous vous avons demandé si vous gardez {ce nom de domaine|ces :count noms de domaine}, et nous n’avons "
                ."pas encore de réponse :\n\n:names\n\nDites-nous avant le :by lesquels vous souhaitez garder, et pour combien de temps. "
                ."Le lien de notre lettre précédente ne fonctionne plus ; celui-ci fonctionne :\n\n:link\n\nUn nom qui expire ne "
                ."fonctionne plus : ni ses pages web, ni son courrier.\n\n:house",
        ],
    ],
    'more' => '  et :more autres, que la page montre',
];
