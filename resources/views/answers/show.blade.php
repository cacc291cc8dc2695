<x-layout plain :title="$count === 1
    ? __('answers.show.a_name_is_being_handed_to_you')
    : __('answers.show.names_are_being_handed_to_you', ['count' => $count])">
    <div class="answer">
        <h1>{{ trans_choice('answers.show.about_to', $count, ['house' => $house, 'told' => number_format($count)]) }}</h1>
        <p class="sentence">
            {{ __(
                $by === null ? 'answers.show.to_account' : 'answers.show.to_account_by',
                [
                    'account' => $account,
                    'registrar' => $registrar,
                    'mailbox' => $mailbox,
                    'day' => $by === null ? '' : App\Support\Dates::full($by),
                ],
            ) }}
        </p>
        <section class="card" aria-labelledby="names">
            <h2 id="names">{{ $count === 1 ? __('common.the_name') : __('common.the_names') }}</h2>
            <table class="sheet low">
                <caption class="hide">{{ $count === 1 ? __('common.the_name') : __('common.the_names') }}</caption>
                <thead>
                    <tr>
                        <th scope="col" class="c-name">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('answers.show.paid_until') }}</th>
                        <th scope="col">{{ __('answers.show.does_not_come_along') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($lines as $line)
                        <tr>
                            <th scope="row" class="name">{{ $line->name->unicode }}</th>
                            <td data-label="{{ __('answers.show.paid_until') }}">{{ $line->name->registration?->ends_on === null
                                ? __('common.not_known')
                                : App\Support\Dates::full($line->name->registration->ends_on) }}</td>
                            <td data-label="{{ __('answers.show.does_not_come_along') }}">{{ implode(
                                ', ',
                                $left[$line->name_id] ?? [__('answers.show.nothing_known')],
                            ) }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @if ($count > $lines->count())
                <p class="lesser">{{ __('answers.show.and_more', ['count' => number_format($count - $lines->count())]) }}</p>
            @endif
        </section>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>{{ trans_choice('answers.show.yes', $count) }}</h2>
            <p>{{ trans_choice('answers.show.identify', $count) }}</p>
            <div class="columns">
                @foreach ($identifiers as $identifier)
                    <x-field :name="$identifier->value" :label="$words->say('letters.identifier.' . $identifier->value)" required
                        maxlength="200" autocomplete="off"/>
                @endforeach
            </div>
            <p><button name="answer" value="yes" class="main">{{ trans_choice('answers.show.take', $count) }}</button> <span
                    class="lesser">{{ __('answers.show.you_cant_undo_this_here') }}</span></p>
        </form>
        <section class="card" aria-labelledby="after">
            <h2 id="after">{{ __('answers.show.afterwards') }}</h2>
            <p>{{ trans_choice('answers.show.afterwards_said', $count, ['registrar' => $registrar]) }}</p>
        </section>
        <form method="post" action="{{ route('answers.store', $token) }}" class="card fields" data-once>
            <h2>{{ __('answers.show.no') }}</h2>
            <x-field name="words" :label="__('answers.show.reason_optional')" maxlength="900" />
            <p><button name="answer" value="no">{{ trans_choice('answers.show.decline', $count) }}</button></p>
        </form>
    </div>
</x-layout>
