<x-layout title="What the house sets">
    <h1>What the house sets</h1>
    <form method="post" action="{{ route('house') }}" class="card fields">
        @csrf @method('put')
        <div class="columns">
            <x-field name="currency" label="Currency of amounts that name none" :value="$house->currency()" maxlength="3" note="Three letters, such as GBP"/>
            <x-field name="four_eyes" label="Four eyes over so many names" :value="$house->fourEyes()" inputmode="numeric" note="A deed over more names is settled by somebody else than who prepared it. 0: every deed. Empty: none"/>
            <x-field name="letterhead" type="area" label="Letterhead" :value="implode(chr(10), $house->letterhead())" rows="4" note="Above what is printed for somebody else: a client’s sheet, a proof"/>
        </div>
        <p><button class="main">Save</button></p>
    </form>
</x-layout>
