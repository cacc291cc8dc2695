<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
    @if ($again)<meta http-equiv="refresh" content="5">@endif
    <title>The books are closed for a moment · Acre Roll</title>
    @vite(['resources/css/app.css'])
</head>
<body>
<header class="mast"><span class="mast-mark"><x-mark/>Acre Roll</span></header>
<main id="main"><div class="door">
    <h1>The books are closed for a moment</h1>
    <p>The database does not answer, or its disk is full. Nothing of what is written is lost, and what was at work goes on by itself when it is back.</p>
    <p>{{ $again ? 'This page tries again every five seconds.' : 'What you just sent was not written. Go back, and send it once more when the other pages answer.' }}</p>
</div></main>
</body>
</html>
