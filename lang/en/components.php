<?php

declare(strict_types=1);

return [
    'axis' => [
        'today' => 'today',
    ],
    'failure' => [
        'acre_roll' => ':title · Acre Roll',
        'go_to_the_first_page' => 'Go to the first page',
    ],
    'layout' => [
        'title' => ':title · Acre Roll',
        'find' => 'Find a name, account or :served',
        'skip_to_the_content' => 'Skip to the content',
        'areas' => 'Areas',
        'glossary_and_shortcuts' => 'Glossary and shortcuts',
        'sign_out' => 'Sign out',
    ],
    'notes' => [
        'kb' => ':size KB',
        'delete_the_note_by' => 'Delete the note by :user',
        'delete' => 'Delete',
        'no_notes_yet' => 'No notes yet.',
        'note' => 'Note',
        'attach_a_file' => 'Attach a file',
        'add_the_note' => 'Add the note',
    ],
    'pages' => [
        'previous' => 'Previous',
    ],
    'setbacks' => [
        'list' => 'list :subject_id',
        'docket' => 'docket :docket_id',
        'try_again' => 'Try again',
    ],
    'sheaf' => [
        'the_sheaf' => 'The sheaf',
        'in_the_sheaf' => 'in the sheaf',
        'in_our_record' => 'In our record',
        'at_the_registrar' => 'At the registrar',
        'empty' => 'Empty',
    ],
    'in_step' => [
        'compare' => 'Compare in the sheaf',
        'differs' => 'The names that match your search have changed since you selected them. This page is about the names you saw.',
    ],
    'own_password' => [
        'label' => 'Your password',
    ],
];
