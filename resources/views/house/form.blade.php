<x-layout :title="__('settings.title')">
    <x-settings current="house"/>
    <h1>{{ __('settings.title') }}</h1>
    @if ($itself !== null)<p class="sentence">The house is called <strong>{{ $itself->name }}</strong>. <a href="{{ route('clients.edit', $itself) }}">Call it otherwise</a></p>@endif
    <form method="post" action="{{ route('house') }}" class="card fields">
        @csrf @method('put')
        <div class="columns">
            <x-field name="served" type="choice" label="Those we serve are our" :value="$house->served()->value" :options="$served"/>
            <x-field name="currency" label="Currency" :value="$house->currency()" maxlength="3" note="Three letters, such as GBP; of amounts that name none"/>
            <x-field name="dates" type="choice" label="Days are written" :value="$house->dates()->value" :options="$dates"/>
            <x-field name="zone" type="choice" label="Time zone" :value="$house->zone()->getName()" :options="$zones" note="For times of day. A day on which something ends or falls due is the trade’s, in UTC"/>
            <x-field name="pattern" type="choice" label="What the world reads of new names’ holders" :value="$house->pattern()" :options="$patterns" :note="__('Where their :served has no pattern of its own')"/>
            <x-field name="four_eyes" label="Four eyes over" :value="$house->fourEyes()" inputmode="numeric" note="So many names: a deed over more is settled by somebody else than who prepared it. 0: every deed. Empty: none"/>
        </div>
        <x-field name="letterhead" type="area" label="Letterhead" :value="implode(chr(10), $house->letterhead())" rows="4" :note="__('Above what is printed for somebody else: a :served’s sheet, a proof')"/>
        <p><button class="main">Save</button></p>
    </form>
</x-layout>
