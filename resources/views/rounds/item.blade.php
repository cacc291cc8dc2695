<tr>
    <td class="rounds-due">{{ $told->due($item->due) }}</td>
    <th scope="row"><a class="{{ $item->isName ? 'name' : 'thing' }}" href="{{ $item->see ?? $item->address }}">{{ $item->title }}</a>
        <span class="rounds-says">{{ $item->says }}</span>
        @if ($told->before($item) !== null)
            <span class="rounds-says is-bad">{{ $told->before($item) }}</span>
        @endif
    </th>
    <td data-label="{{ __('common.more') }}">{{ $item->cost }}</td>
    @if ($whose($item) === '')
    <td class="nobody"></td>@else<td data-label="{{ __('common.owner') }}"><span
                class="lesser">{{ __('rounds.item.s', ['item' => Str::before($whose($item), ' ')]) }}</span></td>
    @endif
    <td class="rounds-deed">
        @cannot('prepare')
        <a class="button" href="{{ $item->see ?? $item->address }}">{{ __('rounds.see') }}</a>@else<a
                class="button {{ in_array(
                    $item->section->value,
                    ['now', 'lost', 'dark', 'money'],
                    true,
                ) && $rounds->today->daysUntil($item->due) <= 7 ? 'main' : '' }}"
                href="{{ $item->address }}">{{ $item->deed }}</a>
            <details class="menu left">
                <summary class="button" aria-label="{{ __('rounds.item.more_about', ['title' => $item->title]) }}">…</summary>
                <div class="menu-sheet">
                    <form method="post" action="{{ route('rounds.mark') }}">@csrf<input type="hidden" name="thing"
                            value="{{ $item->key }}">
                        <p class="rounds-why"><label
                                for="w-{{ md5($item->key) }}">{{ __('rounds.item.what_was_done_or_why_it_waits') }}</label> <input
                                id="w-{{ md5($item->key) }}" name="because" maxlength="500"> <button name="how"
                                value="done">{{ __('common.mark_as_done') }}</button></p>
                        <p><label for="u-{{ md5($item->key) }}">{{ __('rounds.item.postpone_until') }}</label> <input
                                id="u-{{ md5($item->key) }}" type="date" name="until" min="{{ $rounds->today->plusDays(1)->date() }}"
                                value="{{ $rounds->today->plusDays(7)->date() }}"> <button name="how"
                                value="off">{{ __('rounds.item.postpone') }}</button></p>
                        <p><label for="t-{{ md5($item->key) }}">{{ __('rounds.item.assign_to') }}</label> <select
                                id="t-{{ md5($item->key) }}" name="to">
                                @foreach ($people as $one)
                                    <option value="{{ $one->id }}" @selected($one->id === auth()->id())>{{ $one->name }}</option>
                                @endforeach
                            </select>
                            <button name="how" value="given">{{ __('rounds.item.assign') }}</button>
                        </p>
                    </form>
                </div>
        </details>@endcannot
    </td>
</tr>
