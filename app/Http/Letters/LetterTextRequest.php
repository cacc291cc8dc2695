<?php

declare(strict_types=1);

namespace App\Http\Letters;

use App\Http\SignedIn;
use App\Models\LetterKind;
use App\Queries\Letters\Written;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

/** What a Steward writes in a letter: it must say what the letter is for, and nothing that nobody fills in. */
final class LetterTextRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'subject' => ['required', 'string', 'max:200', 'not_regex:/[\r\n]/'],
            'body' => ['required', 'string', 'max:10000'],
            'version' => ['required', 'integer'],
            'act' => ['required', 'in:look,save'],
            'in' => ['nullable', 'string', 'max:2'],
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $written = $this->written();
                foreach ($written->lacks($this->kind()) as $word) {
                    $validator
                        ->errors()
                        ->add('body', self::say('errors.lacks', ['what' => ":{$word}", 'why' => self::say("word.{$word}")]));
                }
                foreach ($written->unknown($this->kind()) as $word) {
                    $validator->errors()->add('body', self::say('errors.unknown', ['what' => ":{$word}"]));
                }
                if ($written->uneven() !== null) {
                    $validator->errors()->add('body', self::say('errors.uneven', ['what' => $written->uneven()]));
                }
            },
        ];
    }

    /** @param  array<string, string>  $with */
    private static function say(string $key, array $with = []): string
    {
        $said = __("letters.{$key}", $with);

        return is_string($said) ? $said : $key;
    }

    public function kind(): LetterKind
    {
        $kind = $this->route('letter');

        return $kind instanceof LetterKind ? $kind : abort(404);
    }

    public function written(): Written
    {
        return new Written(trim($this->word('subject')), str_replace("\r\n", "\n", trim($this->word('body'))));
    }
}
