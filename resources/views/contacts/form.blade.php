@php($title = $today === null ? __('contacts.form.add') : __('contacts.form.edit', ['name' => $today->called]))
<x-layout :title="$title" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('contacts.index') }}">{{ __('common.contacts') }}</a>
        @if ($today !== null)
            /
            <a href="{{ route('contacts.show', $contact) }}">{{ $today->called }}</a>
        @endif
    </nav>
    <h1>{{ $title }}</h1>
    @if ($starts !== [])
        <section class="told told-bad apart" role="alert" aria-labelledby="starts">
            <h2 id="starts">{{ __('contacts.form.not_saved_yet_this_is_a_change') }}</h2>
            <p>{{ __('contacts.form.you_changed_the_person_the') }}</p>
            <ul>
                @foreach ($starts as $group)
                    @php($with = [
                        'suffixes' => implode(', ', array_map(fn(string $suffix): string => '.' . $suffix, $group['suffixes'])),
                        'told' => number_format($group['names']),
                    ])
                    <li><strong>{{ trans_choice('contacts.form.of_names', $group['names'], $with) }}</strong>
                        {{ ucfirst($words->say('contacts.confirms.' . $group['what']->confirms->value)) }}.
                        {{ $group['what']->verifyBy === null ? '' : __(
                            'contacts.form.verify_by',
                            ['day' => App\Support\Dates::full($group['what']->verifyBy)],
                        ) }}
                        {{ $group['what']->holdUntil === null ? '' : __(
                            'contacts.form.hold_until',
                            ['day' => App\Support\Dates::full($group['what']->holdUntil)],
                        ) }}
                    </li>
                @endforeach
            </ul>
            <p>{{ __('contacts.form.if_any_of_these_names_is_going') }}</p>
        </section>
    @endif
    <form method="post" action="{{ $today === null ? route('contacts.store') : route('contacts.update', $contact) }}" class="card fields"
        data-once>
        @csrf
        @if ($today !== null)
            @method('put') <input type="hidden" name="version"
                value="{{ $errors->has('version') ? $contact->version : old('version', $contact->version) }}">
        @endif
        @if ($seen !== '')
            <input type="hidden" name="seen" value="{{ $seen }}">
        @endif
        <div class="columns">
            <x-choice name="kind" :label="__('contacts.form.kind')" :value="$contact->kind->value" words="contacts.kind" />
            <x-field name="organisation" :label="__('contacts.form.organisation')" :value="$today?->organisation" maxlength="255"
                autocomplete="off"/>
            <x-field name="person" :label="__('contacts.form.person')" :value="$today?->person" maxlength="255" autocomplete="off" />
            <x-field name="mailbox" :label="__('common.mailbox')" :value="$today?->mailbox?->address" maxlength="320" autocomplete="off"
                :note="__('contacts.form.use_a_shared_mailbox_and_not')"/>
            <x-field name="voice" :label="__('contacts.form.telephone')" :value="$today?->voice" maxlength="60" autocomplete="off"
                :note="__('contacts.form.with_the_country_code_such_as')"/>
            <x-field name="client_id" type="choice" :label="__('common.served')" :value="$contact->client_id"
                :options="['' => __('common.not_known')] + $clients"/>
            <x-field name="street" type="area" :label="__('contacts.form.street')" :value="implode(chr(10), $today?->street ?? [])"
                rows="3" :note="__('contacts.form.up_to_three_lines_a_po_box_is')"/>
            <x-field name="town" :label="__('contacts.form.town')" :value="$today?->town" maxlength="255" autocomplete="off" />
            <x-field name="region" :label="__('contacts.form.region')" :value="$today?->region" maxlength="255" autocomplete="off"
                :note="__('contacts.form.county_state_or_province_where')"/>
            <x-field name="postcode" :label="__('contacts.form.postcode')" :value="$today?->postcode" maxlength="16" autocomplete="off" />
            <x-field name="country" type="choice" :label="__('contacts.form.country')" :value="$today?->country" :options="$countries" />
        </div>
        <details @if (($today?->local ?? null) !== null || old('local_person') !== null || old('local_organisation') !== null) open @endif>
            <summary>{{ __('contacts.form.in_the_local_script') }}</summary>
            <p class="note">{{ __('contacts.form.if_it_is_not_written_in_latin') }}</p>
            <div class="columns">
                <x-field name="local_organisation" :label="__('contacts.form.organisation')"
                    :value="$today?->local['organisation'] ?? null" maxlength="255"/>
                <x-field name="local_person" :label="__('contacts.form.person')" :value="$today?->local['person'] ?? null" maxlength="255"/>
                <x-field name="local_street" type="area" :label="__('contacts.form.street')"
                    :value="implode(chr(10), $today?->local['street'] ?? [])" rows="3"/>
                <x-field name="local_town" :label="__('contacts.form.town')" :value="$today?->local['town'] ?? null" maxlength="255" />
                <x-field name="local_region" :label="__('contacts.form.region')" :value="$today?->local['region'] ?? null" maxlength="255"/>
                <x-field name="local_postcode" :label="__('contacts.form.postcode')" :value="$today?->local['postcode'] ?? null"
                    maxlength="16"/>
            </div>
        </details>
        <p><button class="main">{{ $starts === [] ? __('common.save') : __('contacts.form.save_anyway') }}</button> <a class="button"
                href="{{ $today === null ? route('contacts.index') : route('contacts.show', $contact) }}">{{ __('common.cancel') }}</a>
        </p>
    </form>
</x-layout>
