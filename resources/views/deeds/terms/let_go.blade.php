<x-field name="then" type="choice" :label="__('deeds.terms.let_go.afterwards')" :options="$choices"
    :value="$said['then'] ?? ($request->word('then') === '' ? 'watch' : $request->word('then'))"/>
<x-field name="because" :label="__('deeds.terms.let_go.what_happened_to_them')" :value="$said['because'] ?? ''" maxlength="300" required
    :note="__('deeds.terms.let_go.for_example_transferred_to')"/>
