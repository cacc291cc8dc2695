<?php

declare(strict_types=1);

return [
    '403' => [
        'not_allowed' => 'Not allowed',
        'your_role_does_not_allow_this' => 'Your role does not allow this. A Steward can do it, or an Owner can change your role.',
    ],
    '404' => [
        'not_found' => 'Not found',
        'there_is_no_page_at_this' => 'There is no page at this address. Check the spelling of the name, account or docket.',
    ],
    '405' => [
        'not_found' => 'Not found',
        'this_address_does_not_accept' => 'This address does not accept that request. Go back and use the buttons on the page.',
    ],
    '413' => [
        'too_large' => 'Too large',
        'the_upload_is_too_large_and' => 'The upload is too large, and none of it was stored. Save the list as CSV without pictures or '
            .'other sheets, and import it again.',
    ],
    '419' => [
        'this_page_has_expired' => 'This page has expired',
        'it_was_open_too_long_or_you' => 'It was open too long, or you have signed out since. Nothing was done. Go back, reload the page '
            .'and try again.',
    ],
    '422' => [
        'not_understood' => 'Not understood',
        'the_page_could_not_read' => 'The page could not read something in this request. Nothing was done.',
    ],
    '429' => [
        'too_many_attempts' => 'Too many attempts',
        'wait_a_minute_then_try_again' => 'Wait a minute, then try again.',
    ],
    '500' => [
        'something_went_wrong' => 'Something went wrong',
        'the_error_is_in_this_machines' => 'The error is in this machine’s log. What you were doing was not done, unless its page says so.',
    ],
    '503' => [
        'back_in_a_moment' => 'Back in a moment',
        'the_application_is_being' => 'The application is being updated. Reload this page in a minute.',
    ],
    'outage' => [
        'temporarily_unavailable_acre' => 'Temporarily unavailable · Acre Roll',
        'temporarily_unavailable' => 'Temporarily unavailable',
        'the_database_does_not_answer' => 'The database does not answer, or its disk is full. Nothing that was saved is lost, and work in '
            .'progress resumes when the database is back.',
        'this_page_retries_every_five' => 'This page retries every five seconds.',
        'what_you_just_sent_was_not' => 'What you just sent was not saved. Go back and send it again when other pages work.',
    ],
];
