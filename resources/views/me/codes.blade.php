<x-layout title="Recovery codes">
    <h1>Recovery codes</h1>
    <p class="sentence">The second factor is asked for from now on. Each of these opens the door once in its place. <strong>They are shown this once</strong>: print them, or write them down.</p>
    <section class="card"><pre class="values" tabindex="0">{{ implode("\n", $codes) }}</pre><p class="no-paper"><button type="button" data-print>Print</button> <a class="button main" href="{{ route('me') }}">I have them</a></p></section>
</x-layout>
