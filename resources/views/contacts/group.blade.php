{{-- $contacts: rows of ReadContacts; $self: the one whose page it is, which is kept --}}
<form method="post" action="{{ route('contacts.merge') }}">
    @csrf
    @isset($self)<input type="hidden" name="keep" value="{{ $self }}">@endisset
    <table class="sheet low alike">
        <thead><tr>@unless (isset($self))<th scope="col">Keep</th>@endunless<th scope="col">{{ isset($self) ? 'Is the same' : 'Together' }}</th><th scope="col">Called</th><th scope="col">Mailbox</th><th scope="col">Address</th><th scope="col">Known by</th><th scope="col" class="sum">Names</th></tr></thead>
        <tbody>
        @php($kept = isset($self) ? $of : $contacts[0])
        @foreach ($contacts as $row)
            @php($differ = App\Queries\Contacts\Alike::differ($kept, $row))
            @php($label = $row->text('called') === '' ? $row->textOrNull('address') : $row->text('called'))
            <tr>
                @unless (isset($self))<td data-label="Keep"><input type="radio" name="keep" value="{{ $row->int('id') }}" @checked($loop->first) aria-label="Keep {{ $label }}, contact {{ $row->int('id') }}"></td>@endunless
                <td data-label="Together"><input type="checkbox" name="together[]" value="{{ $row->int('id') }}" @checked($differ === [] && $row->int('id') !== $kept->int('id')) aria-label="{{ $label }}, contact {{ $row->int('id') }}, is the same"></td>
                <th scope="row"><a href="{{ route('contacts.show', $row->int('id')) }}">{{ $label }}</a>@if ($row->textOrNull('organisation') !== null && $row->textOrNull('person') !== null)<span class="lesser">{{ $row->text('person') }}</span>@endif @if ($row->int('id') !== $kept->int('id'))<span @class(['lesser', 'is-soon' => $differ !== []])>{{ $differ === [] ? __('contacts.merge.agree') : __('contacts.merge.differ', ['what' => implode(', ', array_map(fn (string $field): string => __('contacts.field.'.$field), $differ))]) }}</span>@endif</th>
                <td class="mono" data-label="Mailbox">{{ $row->textOrNull('address') ?? 'none' }}</td>
                <td data-label="Address">{{ implode(', ', array_filter([...$row->json('street'), $row->textOrNull('town'), $row->textOrNull('postcode'), $row->textOrNull('country')], is_string(...))) }}@if ($row->textOrNull('voice') !== null)<span class="lesser mono">{{ $row->text('voice') }}</span>@endif</td>
                <td data-label="Known by">{{ $row->textOrNull('client_name') ?? 'nobody' }}</td>
                <td class="sum" data-label="Names">{{ number_format($row->int('names')) }}</td>
            </tr>
        @endforeach
        </tbody>
    </table>
    @can('prepare')<p class="turn"><button>{{ __('contacts.merge.button') }}</button> <span class="lesser">{{ __('contacts.merge.what') }}</span></p>@endcan
</form>
