@props(['title'])
<!DOCTYPE html>
<html lang="en">

<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ __('components.failure.acre_roll', ['title' => $title]) }}</title>
    @vite(['resources/css/app.css'])
</head>

<body>
    <header class="mast"><a class="mast-mark" href="/"><x-mark />{{ __('common.acre_roll') }}</a></header>
    <main id="main" class="door">
        <h1>{{ $title }}</h1>{{ $slot }}<p><a href="/">{{ __('components.failure.go_to_the_first_page') }}</a></p>
    </main>
</body>

</html>
