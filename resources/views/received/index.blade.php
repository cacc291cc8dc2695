<x-layout :title="__('received.index.incoming_mail')" area="People">
    @include('contacts.ways')
    <div class="head">
        <div>
            <h1>{{ __('received.index.incoming_mail') }}</h1>
            <p class="sentence">{{ trans_choice('received.index.open', $open->count()) }} {{ __('received.index.what') }}</p>
        </div>
        @can('prepare')
            <p class="head-deeds"><a class="button" href="{{ route('received.create') }}">{{ __('received.index.add_one') }}</a></p>
        @endcan
    </div>
    @if ($open->isEmpty() && $answered->isEmpty())
        <div class="empty">
            <h2>{{ __('received.index.no_incoming_mail') }}</h2>
            <p>{{ __('received.index.add_disputes_notices_and') }}</p>
        </div>
    @endif
    @foreach ([[__('received.index.waiting'), $open], [__('received.index.answered'), $answered]] as [$heading, $letters])
        @continue($letters->isEmpty())
        <section class="card">
            <h2>{{ $heading }}</h2>
            <dl class="facts facts-wide">
                @foreach ($letters as $one)
                    <div>
                        <dt>
                            @if ($one->answered_on !== null)
                                {{ __('received.index.answered_on', ['answered_on' => App\Support\Dates::full($one->answered_on)]) }}
                            @elseif ($one->answer_by !== null)
                                <span
                                    class="{{ $one->answer_by->hasComeAt($today)
                                        ? 'is-bad'
                                        : ($today->daysUntil($one->answer_by) <= 7 ? 'is-soon' : '') }}">{{ __(
                                            'received.index.by',
                                            ['answer_by' => App\Support\Dates::full($one->answer_by)],
                                        ) }}</span>
                            @else
                                {{ __('received.index.no_deadline') }}
                            @endif
                        </dt>
                        <dd><x-sentence of="received.index.from" :with="['day' => App\Support\Dates::full($one->received_on)]">
                        <x-slot:kind><strong>{{ $words->say('contacts.received.kind.' . $one->kind) }}</strong></x-slot>
                        <x-slot:sender><bdi>{{ $one->sender }}</bdi></x-slot></x-sentence><span
                                class="lesser"><bdi>{{ $one->about }}</bdi></span>
                            <span class="lesser">
                                @foreach ($one->names->take(20) as $name)
                                    <a class="name"
                                        href="{{ route('names.show', $name) }}">{{ $name->unicode }}</a>{{ $loop->last ? '' : ', ' }}
                                @endforeach
                                {{ $one->names->count() > 20 ? ' and ' . ($one->names->count() - 20) . ' more' : '' }}
                            </span>
                            @if ($one->answer !== null)
                                <span class="lesser"><x-sentence of="received.index.answer">
                                <x-slot:answer><bdi>{{ $one->answer }}</bdi></x-slot>
                                </x-sentence></span>
                            @endif
                        </dd>
                        <dd>
                            @if ($one->file !== null)
                                <a href="{{ route('received.file', $one) }}">{{ $one->file }}</a>
                            @endif
                            @if ($one->answered_on === null)
                                @can('prepare')
                                    <details class="menu word">
                                        <summary>{{ __('received.index.mark_as_answered') }}</summary>
                                        <div class="menu-sheet">
                                            <form method="post" action="{{ route('received.answer', $one) }}" data-once>@csrf<x-field
                                                    name="answer" :id="'a-' . $one->id"
                                                    :label="__('received.index.what_you_answered_and_how')" maxlength="4000" required />
                                                <p><button>{{ __('common.save') }}</button></p>
                                            </form>
                                        </div>
                                    </details>
                                @endcan
                            @endif
                        </dd>
                    </div>
                @endforeach
            </dl>
        </section>
    @endforeach
</x-layout>
