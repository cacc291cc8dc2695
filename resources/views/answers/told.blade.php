<x-layout plain :title="$words->say('letters.answer.'.$what)">
    <div class="door">
        <h1>{{ $words->say('letters.answer.'.$what) }}</h1>
        <p>{{ $words->say('letters.answer.'.$what.'_says', ['house' => $house]) }}</p>
    </div>
</x-layout>
