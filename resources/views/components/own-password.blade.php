{{-- One's own password asked again, with whose it is, for programs that fill it in; another secret of the form stands between. --}}
@props(['name' => 'password', 'label' => __('components.own_password.label')])
<input type="text" value="{{ auth()->user()?->email }}" autocomplete="username" hidden>
{{ $slot }}
<x-field :$name :$label type="password" autocomplete="current-password" required/>
