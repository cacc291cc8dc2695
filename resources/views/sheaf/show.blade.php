<x-layout :title="__('sheaf.show.the_sheaf')" area="Roll">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('roll') }}">{{ __('common.the_roll') }}</a></nav>
    <h1>{{ __('sheaf.show.the_sheaf') }}</h1>
    <p class="sentence">
        {{ $sheaf->count() === 0 ? __('sheaf.show.the_sheaf_is_empty') : trans_choice(
            'sheaf.show.in_the_sheaf_they_stay_until',
            $sheaf->count(),
            ['number' => number_format($sheaf->count()), 'told' => $sheaf->told()],
        ) }}
    </p>
    <details class="card" @if ($rows === [] || $errors->any() || old('names')) open @endif>
        <summary>{{ __('sheaf.show.add_a_list_of_names') }}</summary>
        <form method="post" action="{{ route('sheaf.paste') }}" class="fields">
            @csrf
            <x-field name="names" type="area" :label="__('common.the_names')" :note="__('sheaf.show.paste_any_list_lines_commas')"
                rows="3" required/>
            <p><button class="main">{{ __('sheaf.show.add_to_the_sheaf') }}</button></p>
        </form>
    </details>
    @if ($sentences !== [])
        <table class="sheet low after-card apart">
            <caption>{{ __('sheaf.show.added_by_search') }} <span class="lesser">{{ __('sheaf.show.the_names_stay_as_they_were') }}</span>
            </caption>
            <thead>
                <tr>
                    <th scope="col">{{ __('sheaf.show.search') }}</th>
                    <th scope="col">{{ __('sheaf.show.added_on') }}</th>
                    <th scope="col">{{ __('sheaf.show.in_the_sheaf') }}</th>
                    <th scope="col">{{ __('common.today') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($sentences as $one)
                    <tr>
                        <th scope="row"><a href="{{ $one->sentence->address() }}">{{ $says->say($one->sentence) }}</a></th>
                        <td data-label="{{ __('sheaf.show.added_on') }}">{{ App\Support\Dates::short($one->on) }}</td>
                        <td data-label="{{ __('sheaf.show.in_the_sheaf') }}">
                            {{ implode(
                                ', ',
                                array_filter([
                                    trans_choice('sheaf.given', $one->given),
                                    $one->leftOut > 0 ? trans_choice('sheaf.left_out', $one->leftOut) : null,
                                ]),
                            ) }}
                        </td>
                        <td data-label="{{ __('common.today') }}">
                            @if ($one->hasChanged())
                                <form method="post" action="{{ route('sheaf.follow', $one->id) }}">@csrf
                                    {{ implode(
                                        ', ',
                                        array_filter([
                                            $one->come > 0 ? trans_choice('sheaf.come', $one->come) : null,
                                            $one->gone > 0 ? trans_choice('sheaf.gone', $one->gone) : null,
                                        ]),
                                    ) }}
                                    <button class="plain">{{ __('sheaf.show.update') }}</button></form>
                            @else
                                <span class="lesser">{{ __('common.unchanged') }}</span>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($rows !== [])
        <form method="post" action="{{ route('sheaf.remove') }}">
            @csrf @method('patch')
            <table class="sheet low after-card">
                <caption>
                    {{ count($rows) < $sheaf->count() ? __('sheaf.show.names_first', ['count' => count($rows)]) : __('common.names') }}
                </caption>
                <thead>
                    <tr>
                        <th scope="col">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('common.owner') }}</th>
                        <th scope="col">{{ __('common.registrar_and_account') }}</th>
                        <th scope="col">{{ __('common.next') }}</th>
                        <th scope="col"><span class="hide">{{ __('sheaf.show.remove_all') }}</span></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $row)
                        <tr>
                            <th scope="row"><a class="name"
                                    href="{{ route('names.show', $row->text('ascii')) }}">{{ $row->text('unicode') }}</a></th>
                            <td>{{ $row->text('client_name') }}</td>
                            <td>{{ $row->text('registrar_name') }} {{ $row->text('account_number') }}</td>
                            <td>{{ $words->next($row)[0] }}</td>
                            <td class="sum"><button class="plain" name="names[]" value="{{ $row->int('name_id') }}"
                                    aria-label="{{ __(
                                        'sheaf.show.remove',
                                        ['unicode' => $row->text('unicode')],
                                    ) }}">{{ __('common.remove') }}</button>
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </form>
    @endif
</x-layout>
