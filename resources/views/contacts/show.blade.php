@php($today = $contact->today)
<x-layout :title="$value->called()" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a href="{{ route('contacts.index') }}">{{ __('common.contacts') }}</a>
        @if ($contact->client !== null)
            /
            <a href="{{ route('clients.show', $contact->client) }}">{{ $contact->client->name }}</a>
        @endif
    </nav>
    <div class="head">
        <h1><bdi>{{ $value->called() }}</bdi></h1>
        <p class="head-deeds">
            @can('prepare')
                <a class="button main" href="{{ route('contacts.edit', $contact) }}">{{ __('common.edit') }}</a>
                @endcan <a class="button" href="{{ route('contacts.card', $contact) }}">{{ __('contacts.show.vcard') }}</a> @can('settle')
                <a class="button" href="{{ route('contacts.erase', $contact) }}">{{ __('contacts.show.erase') }}</a>
            @endcan
        </p>
    </div>
    <p class="sentence">
        {{ __('contacts.show.contact_used_for', ['id' => $contact->id, 'value' => $words->say('contacts.kind.' . $contact->kind->value)]) }}
        @if ($count > 1)
            <a
                href="{{ route('roll', ['contact' => $contact->id]) }}">{{ __(
                    'contacts.show.names',
                    ['count' => number_format($count)],
                ) }}</a>@else{{ $count === 1
                    ? __('contacts.show.one_name')
                    : __('contacts.show.no_name') }}
        @endif{{ $contact->client === null ? '' : __('contacts.show.for', ['client' => $contact->client->name]) }}.
        @if ($contact->client === null)
            <span class="is-soon">{{ __('contacts.show.not_linked_to_a') }}</span>
        @endif
        @foreach ($risks as $risk => $many)
            @continue(in_array($risk, ['holder_unknown', 'not_told'], true))<span
                class="{{ Acre\Core\Contact\ContactFinding::from($risk)->cost() === Acre\Core\Finding\Cost::Attention
                    ? 'is-soon'
                    : 'is-bad' }}">{{ $words->say('contacts.risk.' . $risk) }}:
                {{ $many === 1 ? __('contacts.show.one_name') : number_format($many) . ' names' }}.</span>
        @endforeach
    </p>
    @if ($untold > 0)
        <form method="post" action="{{ route('contacts.tell', $contact) }}" class="card told-soon">@csrf
            <p>{{ trans_choice('contacts.show.untold', $untold, ['told' => number_format($untold)]) }} @can('prepare')
                    <button>{{ $untold === 1 ? __('contacts.show.tell_the_registrar') : __('contacts.show.tell_the_registrars') }}</button>
                @endcan
            </p>
        </form>
    @endif
    <div class="cards">
        <section class="card" aria-labelledby="says">
            <h2 id="says">{{ __('common.contents') }}</h2>
            <dl class="facts">
                @foreach (['organisation' => $value->organisation, 'person' => $value->person] as $field => $said)
                    <div>
                        <dt>{{ ucfirst($words->say('contacts.field.' . ($field === 'person' ? 'name' : $field))) }}</dt>
                        <dd>
                            @if ($said === null)
                            <span class="lesser">{{ __('common.not_known') }}</span>@else<bdi>{{ $said }}</bdi>
                            @endif
                        </dd>
                    </div>
                @endforeach
                <div>
                    <dt>{{ __('contacts.show.address') }}</dt>
                    <dd>
                        @forelse ($value->address->lines() as $line)
                        <span class="reason"><bdi>{{ $line }}</bdi></span>@empty<span
                                class="lesser">{{ __('common.not_known') }}</span>
                        @endforelse
                    </dd>
                </div>
                <div>
                    <dt>{{ __('contacts.show.telephone') }}</dt>
                    <dd>
                        @if ($value->voice === null)
                            <span class="lesser">{{ __('common.not_known') }}</span>@else{{ $value->voice->text() }}<span
                                class="lesser"><x-sentence of="contacts.show.voice_epp"><x-slot:number><span
                                            class="mono">{{ $value->voice->epp() }}</span></x-slot></x-sentence></span>
                        @endif
                    </dd>
                </div>
                @if ($value->local !== null)
                    <div>
                        <dt>{{ __('contacts.show.in_the_local_script') }}</dt>
                        <dd>
                            @foreach (array_filter([
                                $value->local->organisation,
                                $value->local->person,
                                ...$value->local->address->lines(),
                            ]) as $line)
                                <span class="reason"><bdi>{{ $line }}</bdi></span>
                            @endforeach
                        </dd>
                    </div>
                @endif
            </dl>
            @foreach ($findings as $finding)
                <p class="lesser"><span
                        class="{{ $finding->tag->cost() === Acre\Core\Finding\Cost::Attention
                            ? ''
                            : 'is-soon' }}">{{ $words->finding($finding) }}.</span>
                </p>
            @endforeach
        </section>
        <section class="card" aria-labelledby="reached">
            <h2 id="reached">{{ __('contacts.show.how_it_is_reached') }}</h2>
            <dl class="facts">
                <div>
                    <dt>{{ __('common.mailbox') }}</dt>
                    <dd>
                        @if ($mailbox === null)
                        <span class="is-bad">{{ __('contacts.show.none') }}</span>@else<span
                                class="mono">{{ $mailbox->address }}</span><span
                                class="lesser">{{ $words->say(
                                    'contacts.takes_mail.' . $mailbox->takes_mail->value,
                                ) }}{{ $mailbox->looked_on === null ? '' : __(
                                    'contacts.show.checked_on',
                                    ['looked_on' => App\Support\Dates::full($mailbox->looked_on)],
                                ) }}</span>
                        @endif
                    </dd>
                </div>
                @if ($mailbox !== null)
                    <div>
                        <dt>{{ __('contacts.show.verified') }}</dt>
                        <dd>
                            @if ($mailbox->verified_on === null)
                                {{ __('contacts.show.not_as_far_as_we_know') }}
                            @else
                                <span class="is-good">{{ App\Support\Dates::full($mailbox->verified_on) }}</span><span
                                    class="lesser">{{ $words->say(
                                        'contacts.verification.by.' . $mailbox->verified_by,
                                    ) }}{{ $mailbox->verified_words === null
                                        ? ''
                                        : ': ' . $mailbox->verified_words }}</span>
                            @endif
                        </dd>
                    </div>
                    <div>
                        <dt>{{ __('contacts.show.lies_in') }}</dt>
                        <dd>
                            @if ($site === null)
                                {{ __('contacts.show.a_domain_that_is_not_on_the') }}
                            @else
                                <a class="name"
                                    href="{{ route('names.show', $site->text('ascii')) }}">{{ $site->text('unicode') }}</a><span
                                    class="lesser">{{ __(
                                        'contacts.show.intent',
                                        [
                                            'phase' => $words->say('words.phase.' . $site->text('phase')),
                                            'intent' => $words->say('words.intent.' . $site->text('intent')),
                                        ],
                                    ) }}</span>
                            @endif
                        </dd>
                    </div>
                    <div>
                        <dt>{{ __('contacts.show.letters_sent') }}</dt>
                        <dd>
                            @forelse ($letters as $letter)
                                <span
                                    class="reason">{{ $letter->instant('written_on') === null
                                        ? ''
                                        : App\Support\Dates::full($letter->instant('written_on')) }}:
                                    {{
                                        $words->say('letters.state.' . $letter->text('state'))
                                    }}@if ($letter->instant('answered_at') !== null), <span
                                        class="is-good">{{ __('contacts.show.answered') }}</span>
                                    @endif
                                    <span class="lesser">
                                    <bdi>{{ $letter->text('subject') }}</bdi></span></span>@empty
                                {{ __('contacts.show.none_yet_so_we_do_not_know') }}
                            @endforelse
                            @if ($mailbox->forwards_to !== null)
                                <span class="is-soon reason"><x-sentence of="contacts.show.forwards"><x-slot:other><bdi
                                                class="mono">{{ $mailbox->forwards_to }}</bdi></x-slot></x-sentence></span>
                            @endif
                        </dd>
                    </div>
                @endif
            </dl>
        </section>
    </div>
    <section class="card" aria-labelledby="used">
        <h2 id="used">{{ __('contacts.show.used_for') }} @if ($count > count($names))
                <span
                    class="aside">{{ __(
                        'contacts.show.the_first_of',
                        ['names' => count($names), 'count' => number_format($count)],
                    ) }}</span>
            @endif
        </h2>
        @if ($names === [])
            <p>{{ __('contacts.show.it_is_not_used_for_any_name') }}</p>
        @else
            <table class="sheet low">
                <thead>
                    <tr>
                        <th scope="col">{{ __('common.name') }}</th>
                        <th scope="col">{{ __('common.as') }}</th>
                        <th scope="col">{{ __('common.since') }}</th>
                        <th scope="col">{{ __('contacts.show.held_for') }}</th>
                        <th scope="col">{{ __('contacts.show.at') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($names as $name)
                        <tr>
                            <th scope="row"><a class="name"
                                    href="{{ route('names.show', $name->text('ascii')) }}">{{ $name->text('unicode') }}</a></th>
                            <td data-label="{{ __('common.as') }}">
                                {{ implode(
                                    ', ',
                                    array_map(
                                        fn(string $role): string => $words->say('contacts.role.' . $role),
                                        explode(',', $name->text('roles')),
                                    ),
                                ) }}
                            </td>
                            <td data-label="{{ __('common.since') }}">
                                {{ $name->instant('since') === null ? '' : App\Support\Dates::full($name->instant('since')) }}</td>
                            <td data-label="{{ __('contacts.show.held_for') }}">{{ $name->textOrNull('client_name') }}</td>
                            <td data-label="{{ __('contacts.show.at') }}">{{ $name->textOrNull('registrar_name') }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    </section>
    @if ($alike !== [] && $itself !== null)
        <section class="card" aria-labelledby="alike">
            <h2 id="alike">{{ __('contacts.show.possible_duplicates') }}</h2>
            @include('contacts.group', ['contacts' => $alike, 'self' => $contact->id, 'of' => $itself])
        </section>
    @endif
    <section class="card" aria-labelledby="was">
        <h2 id="was">{{ __('contacts.show.earlier_versions') }}</h2>
        <dl class="facts facts-wide">
            @foreach ($contact->versions as $version)
                @php($older = $contact->versions[$loop->index + 1] ?? null)
                <div>
                    <dt>{{ $version->span->from === null
                        ? __('contacts.show.since_it_was_first_known')
                        : App\Support\Dates::full($version->span->from) }}
                    </dt>
                    <dd>
                        @if ($older === null)
                            {{ __(
                                'contacts.show.saved',
                                ['source' => $words->say('contacts.source.' . $version->source)],
                            ) }}@else{{ $changes->say(
                                $older->value($contact->kind),
                                $version->value($contact->kind),
                            ) ?: __('contacts.show.kind_or') }}
                        @endif
                        <span class="lesser">{{ $version->user?->name ?? __('common.acre_roll') }}</span>
                    </dd>
                </div>
            @endforeach
        </dl>
    </section>
</x-layout>
