<?php

declare(strict_types=1);

return [
    'renewals' => [
        'title' => 'Quels noms gardez-vous ?',
        'heading' => '{1} :house demande : souhaitez-vous garder ce nom de domaine ?|[2,*] :house demande : lesquels de ces :count noms de '
            .'domaine souhaitez-vous garder ?',
        'said' => 'Merci de répondre avant le :by. Il n’y a rien à payer ici.',
        'ends' => 'Expire le',
        'price' => 'Un an coûte',
        'on_request' => 'sur demande',
        'answer' => 'Votre réponse',
        'answer_for' => 'Votre réponse pour :name',
        'answers' => [
            '' => 'à choisir',
            '1' => 'garder 1 an',
            '2' => 'garder 2 ans',
            '3' => 'garder 3 ans',
            '5' => 'garder 5 ans',
            '0' => 'laisser expirer',
        ],
        'lapse_said' => 'Un nom qui expire ne fonctionne plus : ni ses pages web, ni son courrier. D’autres peuvent alors l’enregistrer.',
        'send' => 'Envoyer ces réponses',
        'all' => 'Tout garder un an',
        'choose_each' => 'Merci de choisir une réponse pour chaque nom.',
        'thanks' => 'Merci',
        'kept' => '{1} :house renouvelle un nom pour vous.|[2,*] :house renouvelle :count noms pour vous.',
        'let_go' => '{1} Un nom expirera.|[2,*] :count noms expireront.',
        'changed' => 'Si vous changez d’avis, écrivez à :house.',
    ],
];
