<x-layout plain :title="__('letters.late.title')">
    <div class="answer">
        <h1>{{ __('letters.late.title') }}</h1>
        <p class="sentence">{{ __('letters.late.says', ['house' => $house]) }}</p>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <x-field name="words" :label="__('letters.late.words')" maxlength="900" />
            <p><button name="answer" value="yes" class="main">{{ __('letters.late.yes') }}</button> <button name="answer"
                    value="no">{{ __('letters.late.no') }}</button></p>
        </form>
    </div>
</x-layout>
