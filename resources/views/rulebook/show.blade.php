<x-layout :title="__('rulebook.show.rules_of', ['suffix' => $suffix])" area="Outside">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('rulebook.index') }}">{{ __('rulebook.show.rulebook') }}</a> / .{{ $suffix }}</nav>
    <h1><x-sentence of="rulebook.show.heading"><x-slot:suffix><span class="name">.{{ $suffix }}</span></x-slot></x-sentence></h1>
    @if ($life->rules->isDefault)
        <p class="told told-bad">{{ __('rulebook.show.the_rulebook_has_no_page_for', ['suffix' => $suffix]) }}</p>
    @endif
    <section class="card" aria-labelledby="if">
        <h2 id="if">{{ __('rulebook.show.try_the_rules_on_a_name_with') }}</h2>
        <form class="ask" method="get">
            <label for="created">{{ __('rulebook.show.registered') }}</label> <input id="created" type="date" name="created"
                value="{{ $said('created', $life->facts->created) }}">
            <label for="ends">{{ __('rulebook.show.ends') }}</label> <input id="ends" type="date" name="ends"
                value="{{ $said('ends', $life->facts->ends) }}">
            <label for="moved">{{ __('rulebook.show.transferred') }}</label> <input id="moved" type="date" name="moved"
                value="{{ $said('moved', $life->facts->moved) }}">
            <label for="lead">{{ __('rulebook.show.charged_days_before_the_end') }}</label> <input id="lead" type="number"
                name="lead" min="0" max="90" value="{{ $said('lead', $life->terms->chargeLead) }}">
            <label for="intent">{{ __('rulebook.show.intent') }}</label> <select id="intent" name="intent">
                @foreach (__('words.intent') as $case => $word)
                    <option value="{{ $case }}" @selected($life->facts->intent->value === $case)>{{ $word }}</option>
                @endforeach
            </select>
            <button>{{ __('rulebook.show.draw') }}</button>
        </form>
        @foreach ($refused as $why)
            <p class="wrong" role="alert">{{ $why }}</p>
        @endforeach
        <p class="sentence">
            @foreach ($standing->findings as $finding)
                {{ $words->finding($finding) }}.
            @endforeach
        </p>
        <div class="drawing">
            <div class="wide"><x-folio-line :drawing="$drawings[0]" id="w" /></div>
            <div class="narrow"><x-folio-line :drawing="$drawings[1]" id="n" /></div>
        </div>
        <dl class="facts facts-wide">
            @foreach ($life->toCome() as $event)
                <div>
                    <dt>{{ App\Support\Dates::full($event->at) }}</dt>
                    <dd>{{ $words->say('words.event.' . $event->kind->value) }}{{ $event->certain
                        ? ''
                        : __('rulebook.show.perhaps_depends_on_the') }}
                    </dd>
                    <dd>{{ __('rulebook.show.missed', ['cost' => $words->say('words.cost.' . $event->kind->cost()->name)]) }}</dd>
                </div>
            @endforeach
        </dl>
    </section>
    <table class="sheet low">
        <caption>{{ __('rulebook.show.all_rules_and_editions') }}</caption>
        <thead>
            <tr>
                <th scope="col">{{ __('rulebook.show.rule') }}</th>
                <th scope="col">{{ __('rulebook.show.value') }}</th>
                <th scope="col">{{ __('common.from') }}</th>
                <th scope="col">{{ __('rulebook.show.basis') }}</th>
                <th scope="col">{{ __('rulebook.show.source') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($editions as $key => $rules)
                @foreach ($rules as $rule)
                    <tr @class(['is-past' => !$rule->from->hasComeAt($now)])>
                        <th scope="row">{{ $words->say('rulebook.rule.' . $key) }}</th>
                        <td data-label="{{ __('rulebook.show.value') }}">{{ $values->say($rule->value) }}</td>
                        <td data-label="{{ __('common.from') }}" class="date">
                            {{ $rule->from->hasComeAt($now) ? App\Support\Dates::full($rule->from) : __('rulebook.show.not_in_force') }}
                        </td>
                        <td data-label="{{ __('rulebook.show.basis') }}">{{ $words->say('rulebook.mark.' . $rule->mark->value) }}</td>
                        <td data-label="{{ __('rulebook.show.source') }}" class="source">
                            <details>
                                <summary>{{ __('rulebook.show.to_source') }}</summary>{{ $rule->source }}
                            </details>
                        </td>
                    </tr>
                @endforeach
            @endforeach
        </tbody>
    </table>
</x-layout>
