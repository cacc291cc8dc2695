{{-- $contacts: rows of ReadContacts; $self: the one whose page it is, which is kept --}}
<form method="post" action="{{ route('contacts.merge') }}">
    @csrf
    @isset($self)
        <input type="hidden" name="keep" value="{{ $self }}">
    @endisset
    <table class="sheet low alike">
        <thead>
            <tr>
                @unless (isset($self))
                    <th scope="col">{{ __('contacts.group.keep') }}</th>
                @endunless
                <th scope="col">
                    {{ isset($self) ? __('contacts.group.duplicate') : __('contacts.group.merged') }}</th>
                <th scope="col">{{ __('common.name') }}</th>
                <th scope="col">{{ __('common.mailbox') }}</th>
                <th scope="col">{{ __('contacts.group.address') }}</th>
                <th scope="col">{{ __('common.served') }}</th>
                <th scope="col" class="sum">{{ __('common.names') }}</th>
            </tr>
        </thead>
        <tbody>
            @php($kept = isset($self) ? $of : $contacts[0])
            @foreach ($contacts as $row)
                @php($differ = App\Queries\Contacts\Alike::differ($kept, $row))
                @php($label = $row->text('called') === '' ? $row->textOrNull('address') : $row->text('called'))
                <tr>
                    @unless (isset($self))
                        <td data-label="{{ __('contacts.group.keep') }}"><input type="radio" name="keep" value="{{ $row->int('id') }}"
                                @checked($loop->first)
                                aria-label="{{ __('contacts.group.keep_contact', ['label' => $label, 'id' => $row->int('id')]) }}"></td>
                    @endunless
                    <td data-label="{{ __('contacts.group.merged') }}"><input type="checkbox" name="together[]"
                            value="{{ $row->int('id') }}" @checked($differ === [] && $row->int('id') !== $kept->int('id'))
                            aria-label="{{ __('contacts.group.contact_is_a_duplicate', ['label' => $label, 'id' => $row->int('id')]) }}">
                    </td>
                    <th scope="row"><a href="{{ route('contacts.show', $row->int('id')) }}">{{ $label }}</a>
                        @if ($row->textOrNull('organisation') !== null && $row->textOrNull('person') !== null)
                            <span class="lesser">{{ $row->text('person') }}</span>
                            @endif @if ($row->int('id') !== $kept->int('id'))
                                <span
                                    @class(['lesser', 'is-soon' => $differ !== []])>{{ $differ === [] ? __('contacts.merge.agree') : __(
                                        'contacts.merge.differ',
                                        ['what' => implode(
                                            ', ',
                                            array_map(fn(string $field): string => __('contacts.field.' . $field), $differ),
                                        )],
                                    ) }}</span>
                            @endif
                    </th>
                    <td class="mono" data-label="{{ __('common.mailbox') }}">{{ $row->textOrNull('address') ?? 'none' }}</td>
                    <td data-label="{{ __('contacts.group.address') }}">
                        {{ implode(
                            ', ',
                            array_filter(
                                [
                                    ...$row->json('street'),
                                    $row->textOrNull('town'),
                                    $row->textOrNull('postcode'),
                                    $row->textOrNull('country'),
                                ],
                                is_string(...),
                            ),
                        ) }}
                        @if ($row->textOrNull('voice') !== null)
                            <span class="lesser mono">{{ $row->text('voice') }}</span>
                        @endif
                    </td>
                    <td data-label="{{ __('common.served') }}">{{ $row->textOrNull('client_name') ?? 'nobody' }}</td>
                    <td class="sum" data-label="{{ __('common.names') }}">{{ number_format($row->int('names')) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @can('prepare')
        <p class="turn"><button>{{ __('contacts.merge.button') }}</button> <span class="lesser">{{ __('contacts.merge.what') }}</span></p>
    @endcan
</form>
