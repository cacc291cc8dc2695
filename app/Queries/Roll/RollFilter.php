<?php

declare(strict_types=1);

namespace App\Queries\Roll;

/** The Roll's sentence, as the address holds it. */
final readonly class RollFilter
{
    public function __construct(
        public ?int $client = null,
        public ?int $registrar = null,
        public ?int $account = null,
        public string $text = '',
        public Ending $ending = Ending::Any,
        public Sort $sort = Sort::Next,
        public ?string $after = null,
    ) {
    }

    /**
     * The address of the same sentence with one word changed; the place in the list starts anew.
     *
     * @param  array<string, string|int|null>  $change
     */
    public function address(array $change = []): string
    {
        $query = array_filter([
            'client' => $this->client, 'registrar' => $this->registrar, 'account' => $this->account, 'q' => $this->text,
            'ending' => $this->ending === Ending::Any ? null : $this->ending->value,
            'sort' => $this->sort === Sort::Next ? null : $this->sort->value,
            ...$change,
        ], fn (string|int|null $value): bool => $value !== null && $value !== '');

        return route('roll', $query);
    }

    public function isNarrowed(): bool
    {
        return $this->client !== null || $this->registrar !== null || $this->account !== null || $this->text !== '' || $this->ending !== Ending::Any;
    }
}
