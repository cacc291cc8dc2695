<x-layout :title="__('contacts.alike.possible_duplicates')" area="People">
    @include('contacts.ways')
    <h1>{{ __('contacts.alike.possible_duplicates') }}</h1>
    <p class="sentence">{{ __('contacts.alike.contacts_whose_names_match') }}</p>
    @forelse ($groups as $group)
        <section class="card">
            <h2>{{ $group['contacts'][0]->text('called') }} @if ($group['registrars'] > 1)
                    <span
                        class="aside is-soon">{{ __(
                            'contacts.alike.at_registrars_a_transfer_may',
                            ['registrars' => $group['registrars']],
                        ) }}</span>
                @endif
            </h2>
            @include('contacts.group', ['contacts' => $group['contacts']])
            @if ($group['more'] > 0)
                <p class="lesser">{{ trans_choice('contacts.alike.more_of_these', $group['more']) }}</p>
            @endif
        </section>
    @empty
        <div class="empty">
            <h2>{{ __('contacts.alike.no_possible_duplicates') }}</h2>
            <p>{{ __('contacts.alike.contacts_in_the_next_import') }}</p>
        </div>
    @endforelse
    <nav class="turn" aria-label="{{ __('common.pages') }}">
        @if ($page > 1)
            <a href="{{ route('contacts.alike', ['page' => $page - 1]) }}">{{ __('contacts.alike.back') }}</a>
            @endif @if ($more)
                <a href="{{ route('contacts.alike', ['page' => $page + 1]) }}" rel="next">{{ __('common.more') }}</a>
            @endif
    </nav>
</x-layout>
