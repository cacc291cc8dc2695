@props(['title'])
<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Acre Roll</title>
    @vite(['resources/css/app.css'])
</head>
<body>
<header class="mast"><a class="mast-mark" href="/"><x-mark/>Acre Roll</a></header>
<main id="main" class="door"><h1>{{ $title }}</h1>{{ $slot }}<p><a href="/">To the first page</a></p></main>
</body>
</html>
