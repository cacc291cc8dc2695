<x-field name="give" label="Words to give" :value="$said['give'] ?? ''" maxlength="300" list="known-words" note="With commas between; new words are made"/>
<x-field name="take" label="Words to take away" :value="$said['take'] ?? ''" maxlength="300" list="known-words" note="With commas between"/>
<datalist id="known-words">@foreach ($choices as $label)<option value="{{ $label }}">@endforeach</datalist>
