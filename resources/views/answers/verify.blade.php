<x-layout plain :title="__('answers.verify.please_confirm_your_details')">
    <div class="answer">
        <h1>{{ __('answers.verify.asks_you_to_confirm_your', ['house' => $house]) }}</h1>
        <p class="sentence">
            {{ trans_choice(
                match (true) {
                    $by === null => 'answers.verify.you_are',
                    $isOver => 'answers.verify.you_are_late',
                    default => 'answers.verify.you_are_by',
                },
                count($names),
                ['told' => number_format(count($names)), 'mailbox' => $mailbox, 'day' => $by === null ? '' : App\Support\Dates::full($by)],
            ) }}
        </p>
        <section class="card" aria-labelledby="names">
            <h2 id="names">{{ count($names) === 1 ? __('common.the_name') : __('common.the_names') }}</h2>
            <ul class="answer-names">
                @foreach ($names as $name)
                    <li class="name">{{ $name->text('unicode') }}</li>
                @endforeach
            </ul>
        </section>
        @foreach ($contacts as $contact)
            <section class="card">
                <h2>{{ __('answers.verify.on_record') }}</h2>
                <dl class="facts">
                    @foreach ($contact as $field => $value)
                        <div>
                            <dt>{{ ucfirst($words->say('contacts.field.' . $field)) }}</dt>
                            <dd><bdi>{{ $value }}</bdi></dd>
                        </div>
                    @endforeach
                </dl>
            </section>
        @endforeach
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>{{ __('answers.verify.this_is_correct') }}</h2>
            <p>{{ __('answers.verify.i_am_the_registrant_or_act_for') }}</p>
            <p><button name="answer" value="yes" class="main">{{ __('answers.verify.this_is_correct') }}</button></p>
        </form>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>{{ __('answers.verify.something_is_wrong') }}</h2>
            <x-field name="words" :label="__('answers.verify.what_is_wrong')" maxlength="900" required />
            <p><button name="answer" value="no">{{ __('answers.verify.report_what_is_wrong') }}</button></p>
        </form>
    </div>
</x-layout>
