@php($one = count($names) === 1)
@php($count = count($names))
<x-layout plain :title="__('answers.confirm.do_you_agree')">
    <div class="answer">
        <h1>{{ trans_choice(
            $isNew ? 'answers.confirm.asks_new' : 'answers.confirm.asks_prior',
            $count,
            ['house' => $house, 'told' => number_format($count)],
        ) }}
        </h1>
        <p class="sentence">
            @if (!$isNew)
                <x-sentence of="answers.confirm.the_new"><x-slot:who><strong><bdi>{{ $who }}</bdi></strong></x-slot></x-sentence>
            @endif
            {{ __(
                $by === null ? 'answers.confirm.nothing_changes' : 'answers.confirm.nothing_changes_by',
                ['mailbox' => $mailbox, 'day' => $by === null ? '' : App\Support\Dates::full($by)],
            ) }}
        </p>
        <section class="card" aria-labelledby="names">
            <h2 id="names">{{ $one ? __('common.the_name') : __('common.the_names') }}</h2>
            <ul class="answer-names">
                @foreach ($names as $name)
                    <li class="name">{{ $name->text('unicode') }}</li>
                @endforeach
            </ul>
        </section>
        @if ($isNew)
            <section class="card">
                <h2>{{ __('answers.confirm.what_the_record_will_show') }}</h2>
                <dl class="facts">
                    @foreach ($data as $field => $value)
                        <div>
                            <dt>{{ ucfirst($words->say('contacts.field.' . $field)) }}</dt>
                            <dd><bdi>{{ $value }}</bdi></dd>
                        </div>
                    @endforeach
                </dl>
            </section>
        @endif
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>{{ __('answers.confirm.i_agree') }}</h2>
            <p>{{ $isNew ? __('answers.confirm.i_am_the_new_registrant_or_act') : trans_choice('answers.confirm.i_am_the_prior', $count) }}
                <bdi>{{ $agreement }}</bdi></p>
            <p><button name="answer" value="yes" class="main">{{ __('answers.confirm.i_agree') }}</button> <span
                    class="lesser">{{ __('answers.confirm.you_cant_undo_this_here') }}</span></p>
        </form>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>{{ __('answers.confirm.i_dont_agree') }}</h2>
            <x-field name="words" :label="__('answers.confirm.reason_optional')" maxlength="900" />
            <p><button name="answer" value="no">{{ __('answers.confirm.i_dont_agree') }}</button></p>
        </form>
    </div>
</x-layout>
