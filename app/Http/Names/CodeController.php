<?php

declare(strict_types=1);

namespace App\Http\Names;

use App\Actions\Gates\StoreAuthCode;
use App\Models\Name;
use App\View\Words;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** A name's auth code: recorded where a registrar told it to a person, forgotten, and shown once the password was asked again. */
final readonly class CodeController
{
    public function __construct(private StoreAuthCode $codes, private Words $words)
    {
    }

    public function show(ShowCodeRequest $request, Name $name): Response|RedirectResponse
    {
        $code = $this->codes->show($request->person(), $name->id);

        return $code === null
            ? to_route('names.show', $name)->withErrors(['own_password' => __('names.code.none')])
            : response()->view('names.code', ['name' => $name, 'code' => $code]);
    }

    public function store(StoreAuthCodeRequest $request, Name $name): RedirectResponse
    {
        $code = $request->code();
        $this->codes->handle($name->id, $code, 'typed', $request->person());

        return to_route('names.show', $name)->with('told', $this->words->say($code === null ? 'names.code.forgotten' : 'names.code.kept'));
    }
}
