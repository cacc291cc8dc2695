<?php

declare(strict_types=1);

return [
    'renewals' => [
        'title' => 'Welche Namen behalten Sie?',
        'heading' => '{1} :house fragt: Möchten Sie diesen Domainnamen behalten?|[2,*] :house fragt: Welche dieser :count Domainnamen '
            .'möchten Sie behalten?',
        'said' => 'Bitte antworten Sie bis :by. Hier ist nichts zu bezahlen.',
        'ends' => 'Läuft ab am',
        'price' => 'Ein Jahr kostet',
        'on_request' => 'auf Anfrage',
        'answer' => 'Ihre Antwort',
        'answer_for' => 'Ihre Antwort für :name',
        'answers' => [
            '' => 'bitte wählen',
            '1' => '1 Jahr behalten',
            '2' => '2 Jahre behalten',
            '3' => '3 Jahre behalten',
            '5' => '5 Jahre behalten',
            '0' => 'auslaufen lassen',
        ],
        'lapse_said' => 'Ein Name, der ausläuft, funktioniert nicht mehr: weder seine Webseiten noch E-Mail. Andere können ihn dann '
            .'registrieren.',
        'send' => 'Antworten senden',
        'all' => 'Alle ein Jahr behalten',
        'choose_each' => 'Bitte wählen Sie für jeden Namen eine Antwort.',
        'thanks' => 'Vielen Dank',
        'kept' => '{1} :house verlängert einen Namen für Sie.|[2,*] :house verlängert :count Namen für Sie.',
        'let_go' => '{1} Ein Name läuft aus.|[2,*] :count Namen laufen aus.',
        'changed' => 'Wenn Sie es sich anders überlegen, schreiben Sie an :house.',
    ],
];
