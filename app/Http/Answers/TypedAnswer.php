<?php

declare(strict_types=1);

namespace App\Http\Answers;

use Acre\Core\Movement\Identifier;
use Illuminate\Http\Request;

/** What a receiver types behind the link of their letter; too much of it is cut off. Who may is the link's to say. */
final readonly class TypedAnswer
{
    private const LONGEST = 200;

    private const WORDS = 900;

    /** For which a name is kept at most. */
    private const YEARS = 10;

    public function __construct(private Request $request)
    {
    }

    /** @return bool|null null: neither was said */
    public function accepts(): ?bool
    {
        return ['yes' => true, 'no' => false][$this->upTo('answer', 3)] ?? null;
    }

    public function words(): string
    {
        return $this->upTo('words', self::WORDS);
    }

    /** @return array<string, string> by identifier */
    public function typed(): array
    {
        $typed = [];
        foreach (Identifier::cases() as $identifier) {
            $typed[$identifier->value] = $this->upTo($identifier->value, self::LONGEST);
        }

        return $typed;
    }

    /** @return array<int, int> for how many years each name is kept, by name; 0: it is let go. What is odd is left out. */
    public function years(): array
    {
        $years = [];
        $said = $this->request->input('name');
        foreach (is_array($said) ? $said : [] as $id => $count) {
            if (is_int($id) && is_string($count) && preg_match('/^\d{1,2}$/D', $count) === 1 && (int) $count <= self::YEARS) {
                $years[$id] = (int) $count;
            }
        }

        return $years;
    }

    /** @return int|null for how many years all of them are kept; null: each is said by itself */
    public function all(): ?int
    {
        $said = $this->upTo('all', 2);

        return preg_match('/^\d{1,2}$/D', $said) === 1 && (int) $said <= self::YEARS ? (int) $said : null;
    }

    /** @return array{string, string} a password, and the same again; as they were typed */
    public function passwords(): array
    {
        $typed = fn (string $field): string => is_string($said = $this->request->input($field)) ? substr($said, 0, 1_000) : '';

        return [$typed('password'), $typed('password_confirmation')];
    }

    private function upTo(string $field, int $most): string
    {
        $said = $this->request->input($field);

        return is_string($said) ? mb_substr(trim($said), 0, $most) : '';
    }
}
