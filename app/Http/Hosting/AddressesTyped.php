<?php

declare(strict_types=1);

namespace App\Http\Hosting;

use Acre\Core\Hosting\HostingError;
use Acre\Core\Hosting\Place;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Addresses of web servers as people type them: blanks, commas or lines between. */
final class AddressesTyped implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $addresses = self::words(is_string($value) ? $value : '');
        foreach ($addresses as $address) {
            try {
                Place::address($address);
            } catch (HostingError $e) {
                $fail($e->getMessage());
            }
        }
        if (count($addresses) > Place::MOST) {
            $fail('hosting.form.most')->translate(['most' => (string) Place::MOST]);
        }
    }

    /**
     * @return list<string>
     *
     * @throws HostingError when one is none
     */
    public static function read(string $text): array
    {
        return array_values(array_unique(array_map(Place::address(...), self::words($text))));
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        $words = preg_split('/[\s,;]+/u', mb_scrub($text), -1, PREG_SPLIT_NO_EMPTY);

        return $words === false ? [] : $words;
    }
}
