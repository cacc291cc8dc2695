@props(['label'])
<details class="menu word"><summary>{{ $label }}</summary><div class="menu-sheet">{{ $slot }}</div></details>