<?php

declare(strict_types=1);

namespace App\Http\Outside;

use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use App\Http\SignedIn;
use Illuminate\Foundation\Http\FormRequest;

/** A name, or a pasted list of them. */
final class RecordsRequest extends FormRequest
{
    use SignedIn;

    private const MOST = 50;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['names' => [$this->isMethod('get') ? 'nullable' : 'required', 'string', 'max:20000']];
    }

    public function names(): AskedNames
    {
        $names = $wrong = [];
        $parts = preg_split('/[\s,;|]+/u', mb_scrub($this->word('names')), -1, PREG_SPLIT_NO_EMPTY);
        foreach ($parts === false ? [] : $parts as $part) {
            try {
                $name = DomainName::of($part)->registrable();
                $names[$name->ascii] = $name;
            } catch (NameError) {
                $wrong[] = mb_substr($part, 0, 60);
            }
        }

        return new AskedNames(
            array_slice(array_values($names), 0, self::MOST),
            array_slice($wrong, 0, 10),
            max(0, count($names) - self::MOST),
        );
    }
}
