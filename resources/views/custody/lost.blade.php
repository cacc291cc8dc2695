@php($names = fn($part) => array_map(
    fn($one) => $one->name,
    array_filter($custody['custody']->custodians, fn($one) => $one->part === $part),
))
<x-layout :title="__('custody.lost.recover_access_to', ['number' => $account->number])" area="People">
    <nav class="trail" aria-label="{{ __('common.where_you_are') }}"><a
            href="{{ route('accounts.show', $account) }}">{{ $account->registrar->name }} {{ $account->number }}</a></nav>
    <h1><x-sentence of="custody.lost.heading" :with="['registrar' => $account->registrar->name]"><x-slot:number><span
                    class="name">{{ $account->number }}</span></x-slot></x-sentence></h1>
    @php($in = $custody['custody']->canSignIn())
    <p class="sentence">
        {{ $in === [] ? $words->count('contacts.custody.nobody_in', $custody['account']->int('names')) : $words->count(
            'contacts.custody.can_sign_in',
            count($in),
            ['who' => implode(', ', $in)],
        ) }}
        {{ __('contacts.custody.ways_in') }}</p>
    <section class="card slip">
        <h2>{{ __('custody.lost.slip') }}</h2>
        <ol class="steps">
            <li><strong>{{ __('custody.lost.ask_whoever_holds_the_recovery') }}</strong><span
                    class="lesser">{{ implode(
                        ', ',
                        $names(Acre\Core\Custody\CustodyPart::WayBack),
                    ) ?: __('custody.lost.nobody_is_recorded') }}</span>
                @if ($account->way_back !== null)
                    <div class="copy"><span class="lesser">{{ __('custody.lost.recorded') }}</span> <code class="values"
                            tabindex="0">{{ $account->way_back }}</code></div>
                @endif
            </li>
            <li><strong>{{ __('custody.lost.request_a_new_password_at_the') }}</strong>
                <div class="copy"><span class="lesser">{{ __('common.mailbox') }}</span> <code class="values"
                        tabindex="0">{{ $account->mailbox ?? __('common.not_recorded') }}</code></div>
                @if ($custody['custody']->site !== null)
                    <span
                        class="lesser">{{ __(
                            $custody['custody']->siteIsInside ? 'custody.lost.lies_inside' : 'custody.lost.lies_in',
                            ['site' => $custody['custody']->site],
                        ) }}</span>
                @endif
            </li>
            <li><strong>{{ __('custody.lost.pass_the_second_factor') }}</strong><span
                    class="lesser">{{ __(
                        'custody.lost.second',
                        ['who' => implode(', ', $names(Acre\Core\Custody\CustodyPart::SecondFactor)) ?: __('custody.lost.nobody')],
                    ) }}</span>
            </li>
            <li><strong>{{ __(
                $account->owner === null ? 'custody.lost.prove_ours' : 'custody.lost.prove',
                ['owner' => $account->owner?->name],
            ) }}</strong>
                <div class="copy"><span class="lesser">{{ __('common.number') }}</span> <code class="values"
                        tabindex="0">{{ $account->number }}</code></div>
                <div class="copy"><span class="lesser">{{ __('common.login') }}</span> <code class="values"
                        tabindex="0">{{ $account->login ?? __('common.not_recorded') }}</code></div><span
                    class="lesser">{{ __(
                        'custody.lost.evidence',
                        ['card' => implode(', ', $names(Acre\Core\Custody\CustodyPart::Card)) ?: __('common.not_recorded')],
                    ) }}</span>
            </li>
            <li><strong>{{ __('custody.lost.once_inside') }}</strong><span
                    class="lesser">{{ __('custody.lost.add_a_second_person_who_can') }}</span></li>
        </ol>
    </section>
</x-layout>
