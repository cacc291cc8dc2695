<x-layout title="The Roll" area="Roll">
    <h1>The Roll</h1>
    <p class="sentence">No names yet.</p>
</x-layout>
