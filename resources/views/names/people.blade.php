{{-- Its registrant and contacts, account, prices and extras. --}}
<section class="card" aria-labelledby="behind">
    <h2 id="behind">{{ __('names.show.registrant_and_contacts') }}</h2>
    <dl class="facts">
        <div>
            <dt>{{ __('common.registrant') }}</dt>
            <dd>
                @if ($file->guard === null){{ __('common.not_known') }}
                @else
                    <a
                        href="{{ route('contacts.show', $file->guard->contact) }}"><bdi>{{ $file->registrant === ''
                            ? __('names.show.only_a_mailbox_is_known')
                            : $file->registrant }}</bdi></a>
                    @if ($file->guard->mailbox !== null)
                        <span class="lesser mono">{{ $file->guard->mailbox }}</span>
                    @endif
                @endif
                @foreach ($file->behind($life) as $finding)
                    <span @class([
                        'lesser',
                        'is-bad' => $finding->tag->cost() !== Acre\Core\Finding\Cost::Attention,
                    ])>{{ $words->finding($finding) }}</span>
                @endforeach
            </dd>
            @can('prepare')
                <dd>
                    @if ($file->guard?->told !== null)
                        <a class="reason"
                            href="{{ route(
                                'deeds.show',
                                ['change_registrant', 'name' => $name->ascii, 'contact' => $file->guard->contact, 'correct' => 1],
                            ) }}">{{ $words->say('words.cure.tell_registrar') }}</a>
                    @endif
                    <a href="{{ route('deeds.show', ['change_registrant', 'name' => $name->ascii]) }}">
                        {{ __('names.show.another') }}</a>
            </dd>@endcan
        </div>
        @foreach ($roles->filter(
            fn($role) => $role->span->until === null && $role->role !== Acre\Core\Contact\RoleKind::Registrant,
        ) as $role)
            <div>
                <dt>{{ ucfirst($words->say('contacts.role.' . $role->role->value)) }}</dt>
                <dd><a href="{{ route('contacts.show', $role->contact_id) }}"><bdi>{{ $role->contact->today->called }}</bdi></a>
                </dd>
                @can('change', $name)
                    <dd>
                        <form method="post" action="{{ route('names.roles.destroy', $name) }}">@csrf @method('delete')<input
                                type="hidden" name="contact" value="{{ $role->contact_id }}"><input type="hidden" name="role"
                                value="{{ $role->role->value }}"><button class="plain">{{ __('common.remove') }}</button></form>
                    </dd>
                @endcan
            </div>
        @endforeach
        <div>
            <dt>{{ __('names.show.client') }}</dt>
            <dd><a href="{{ route('clients.show', $file->clientId) }}">{{ $file->clientName }}</a></dd>
        </div>
        <div>
            <dt>{{ __('common.account') }}</dt>
            <dd><a href="{{ route('accounts.show', $file->account->id) }}">{{ $file->account->registrarName }}
                    {{ $file->account->number }}</a><span
                    class="lesser">{{ $file->account->ours
                        ? __('names.show.we_can_sign_in')
                        : __('names.show.we_cant_sign_in') }}</span>
            </dd>
        </div>
        @if ($file->reference !== '')
            <div>
                <dt>{{ __('names.show.registrars_number') }}</dt>
                <dd class="mono">{{ $file->reference }}</dd>
            </div>
        @endif
        <div>
            <dt>{{ __('common.public_record') }}</dt>
            <dd><a href="{{ route('record.show', $name->ascii) }}">{{ __('names.show.see_the_public_record') }}</a><span
                    class="lesser">{{ __(
                        $registration?->pattern_id === null ? 'names.show.disclosure' : 'names.show.disclosure_pattern',
                        [
                            'disclosure' => $words->say('words.disclosure.' . $file->disclosure->value),
                            'pattern' => $registration?->pattern_id === null ? '' : $patterns[$registration->pattern_id],
                        ],
                    ) }}</span>
                @if ($pattern !== null && $registration?->pattern_id !== $pattern)
                    <span
                        class="lesser is-soon">{{ __('names.show.should_follow', ['pattern' => $patterns[$pattern] ?? '']) }}</span>
                @endif
            </dd>
            @can('prepare')
                <dd><a
                        href="{{ route(
                            'deeds.show',
                            array_filter(['change_disclosure', 'name' => $name->ascii, 'pattern' => $pattern]),
                        ) }}">{{ __('names.show.choose') }}</a>
                </dd>
            @endcan
        </div>
        <div>
            <dt><a href="{{ route('names.points', $name) }}">{{ __('common.name_servers') }}</a></dt>
            <dd>
                @forelse ($file->servers as $host)
                <span class="mono reason">{{ $host }}</span>@empty {{ __('common.not_known') }}
                @endforelse
            </dd>
        </div>
        <div>
            <dt><a href="{{ route('names.sites', $name) }}">{{ __('hosting.site.trail') }}</a></dt>
            <dd>
                @forelse ($sites as $site)
                    <span class="reason">
                        @if ($site->findings !== [])
                            <span class="is-soon"><bdi>{{ $words->finding($site->findings[0]) }}.</bdi></span>
                        @else
                            <span class="mono">{{ $site->site->value()->host() }}</span> {{
                                $site->site->target ?? $site->site->place?->name
                            }}
                        @endif
                    </span>
                @empty
                    {{ __('common.not_known') }}
                @endforelse
            </dd>
        </div>
        @if ($name->words->isNotEmpty())
            <div>
                <dt>{{ __('names.show.words') }}</dt>
                <dd>
                    @foreach ($name->words as $word)
                        <a
                            href="{{ route('roll', ['word' => $word->id]) }}">{{ $word->label }}</a>{{ $loop->last ? '' : ', ' }}
                    @endforeach
                </dd>
            </div>
        @endif
        @foreach ($name->disputes as $dispute)
            <div>
                <dt>{{ __('names.show.dispute') }}</dt>
                <dd><span class="is-bad">{{ ucfirst($words->say('words.dispute.' . $dispute->kind->value)) }}</span>, {{ __(
                    'names.show.dispute_since',
                    ['day' => App\Support\Dates::full($dispute->since)],
                ) }}
                    @if ($dispute->remarks !== null)
                        <span class="lesser"><bdi>{{ $dispute->remarks }}</bdi></span>
                    @endif
                </dd>
                @can('change', $name)
                    <dd>
                        <form method="post" action="{{ route('names.disputes.destroy', $name) }}">@csrf @method('delete')<input
                                type="hidden" name="dispute" value="{{ $dispute->kind->value }}"><button
                                class="plain">{{ __('names.show.mark_as_ended') }}</button></form>
                    </dd>
                @endcan
            </div>
        @endforeach
        @foreach ($registration?->extras ?? [] as $extra)
            <div>
                <dt>{{ ucfirst($words->say('words.extra.' . $extra->kind->value)) }}</dt>
                <dd>{{ $extra->ended_on !== null
                    ? __('names.show.ended_on', ['ended_on' => App\Support\Dates::full($extra->ended_on)])
                        : ($extra->ends_on === null ? __('names.show.included') : __(
                    $extra->renews ? 'names.show.extra_renews' : 'names.show.extra_ends',
                    ['day' => App\Support\Dates::full($extra->ends_on)],
                )) }}
                </dd>
                @if ($extra->ended_on === null)
                    @can('change', $name)
                        <dd>
                            <form method="post" action="{{ route('names.extras.destroy', $name) }}">@csrf @method('delete')<input
                                    type="hidden" name="extra" value="{{ $extra->kind->value }}"><button
                                    class="plain">{{ __('names.show.mark_as_ended') }}</button></form>
                        </dd>
                    @endcan
                @endif
            </div>
        @endforeach
        @foreach ($registration?->raw ?? [] as $heading => $value)
            <div>
                <dt>{{ $heading }}</dt>
                <dd>{{ $value }}<span class="lesser">{{ __('names.show.as_imported') }}</span></dd>
            </div>
        @endforeach
    </dl>
    @can('change', $name)
        @foreach (['extra', 'extra_ends'] as $key)
            @error($key)
                <p class="wrong" role="alert">{{ $message }}</p>
            @enderror
        @endforeach
        <details @if ($errors->hasAny(['extra', 'extra_ends'])) open @endif>
            <summary>{{ __('names.show.add_an_extra_service') }}</summary>
            <form method="post" action="{{ route('names.extras.store', $name) }}" class="fields">@csrf
                <x-field name="extra" type="choice" :label="__('common.what')"
                    :options="collect(Acre\Core\Movement\ExtraKind::cases())
                    ->mapWithKeys(fn($kind) => [$kind->value => $words->say('words.extra.' . $kind->value)])
                    ->all()" />
                <x-field name="extra_ends" type="date" :label="__('names.show.paid_until')" />
                <x-field name="extra_renews" type="choice" :label="__('names.show.then')"
                    :options="['0' => __('names.show.it_ends'), '1' => __('names.show.it_auto_renews')]"/>
                <p><button>{{ __('common.save') }}</button></p>
            </form>
        </details>
    @endcan
    @can('change', $name)
        @foreach (['dispute', 'dispute_since', 'dispute_remarks'] as $key)
            @error($key)
                <p class="wrong" role="alert">{{ $message }}</p>
            @enderror
        @endforeach
        <details @if ($errors->hasAny(['dispute', 'dispute_since', 'dispute_remarks'])) open @endif>
            <summary>{{ __('names.show.add_a_dispute') }}</summary>
            <form method="post" action="{{ route('names.disputes.store', $name) }}" class="fields">@csrf
                <x-field name="dispute" type="choice" :label="__('common.what')" :note="__('names.show.dispute_said')"
                    :options="collect(Acre\Core\Transfer\Dispute::cases())
                    ->mapWithKeys(fn($kind) => [$kind->value => $words->say('words.dispute.' . $kind->value)])
                    ->all()" />
                <x-field name="dispute_since" type="date" :label="__('names.show.since')" />
                <x-field name="dispute_remarks" :label="__('common.notes')" maxlength="500" />
                <p><button>{{ __('common.save') }}</button></p>
            </form>
        </details>
    @endcan
    @can('change', $name)@if (count($life->rules->roles->value->kinds) > 1)
        @error('contact')
            <p class="wrong" role="alert">{{ $message }}</p>
            @enderror @error('role')
            <p class="wrong" role="alert">{{ $message }}</p>
        @enderror
        <details>
            <summary>{{ __('names.show.add_a_contact') }}</summary>
            <form method="post" action="{{ route('names.roles.store', $name) }}" class="fields">@csrf
                <x-field name="role" id="role-kind" type="choice" :label="__('common.as')"
                    :options="collect($life->rules->roles->value->kinds)
                    ->reject(fn($kind) => $kind === Acre\Core\Contact\RoleKind::Registrant)
                    ->mapWithKeys(fn($kind) => [$kind->value => $words->say('contacts.role.' . $kind->value)])
                    ->all()" />
                <x-field name="contact" id="role-contact" type="choice" :label="__('common.who')" :options="$contacts" />
                <p><button>{{ __('common.save') }}</button></p>
            </form>
        </details>
    @endif @endcan
</section>
