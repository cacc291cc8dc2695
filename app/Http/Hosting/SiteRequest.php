<?php

declare(strict_types=1);

namespace App\Http\Hosting;

use Acre\Core\Hosting\HostingError;
use Acre\Core\Hosting\WebAddress;
use App\Http\SignedIn;
use App\Models\NameSite;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What visitors should find at a host of a name, as a form says it. */
final class SiteRequest extends FormRequest
{
    use SignedIn;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'label' => ['nullable', 'string', 'max:200', function (string $attribute, mixed $value, Closure $fail): void {
                if (preg_match(NameSite::LABEL, $this->label()) !== 1) {
                    $fail(self::said('hosting.site.no_label'));
                }
            }],
            'place_id' => ['nullable', 'required_without:target', 'integer', Rule::exists('places', 'id')],
            'folder' => ['nullable', 'string', 'max:200'],
            'target' => ['nullable', 'string', 'max:2000', function (string $attribute, mixed $value, Closure $fail): void {
                try {
                    WebAddress::of(is_string($value) ? $value : '');
                } catch (HostingError $e) {
                    $fail($e->getMessage());
                }
            }],
            'for' => ['nullable', Rule::in(['permanent', 'temporary'])],
            'path' => ['nullable', 'boolean'],
            'version' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['place_id.required_without' => self::said('hosting.site.one_of_both')];
    }

    /** What stands before the name; in other alphabets as the DNS has it. */
    public function label(): string
    {
        $label = rtrim(trim($this->word('label')), '.');
        $ascii = $label === '' || $label === '@' ? '' : idn_to_ascii($label, IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);

        return $ascii === false ? mb_strtolower($label) : $ascii;
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        $leads = $this->filled('target');

        return [
            'place_id' => $this->filled('place_id') ? $this->integer('place_id') : null,
            'folder' => (string) preg_replace('/\p{C}/u', '', trim($this->word('folder'))),
            'target' => $leads ? (string) WebAddress::of($this->word('target')) : null,
            'is_permanent' => $leads ? $this->word('for') !== 'temporary' : null,
            'keeps_path' => $leads ? $this->boolean('path') : null,
        ];
    }
}
