<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
    @if ($again)<meta http-equiv="refresh" content="5">@endif
    <title>{{ __('errors.outage.temporarily_unavailable_acre') }}</title>
    @vite(['resources/css/app.css'])
</head>
<body>
<header class="mast"><span class="mast-mark"><x-mark/>{{ __('common.acre_roll') }}</span></header>
<main id="main"><div class="door">
    <h1>{{ __('errors.outage.temporarily_unavailable') }}</h1>
    <p>{{ __('errors.outage.the_database_does_not_answer') }}</p>
    <p>{{ $again ? __('errors.outage.this_page_retries_every_five') : __('errors.outage.what_you_just_sent_was_not') }}</p>
</div></main>
</body>
</html>
