<x-field name="then" type="choice" label="From then on it" :options="$choices" :value="$said['then'] ?? ($request->word('then') === '' ? 'watch' : $request->word('then'))"/>
<x-field name="because" label="What became of them" :value="$said['because'] ?? ''" maxlength="300" required note="Such as: moved to their own account at another registrar, as agreed on 3 October"/>
