<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Delegation\ServerNames;
use Acre\Core\Disclosure\Disclosure;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Core\Time\Instant;
use Acre\Wire\Lists\Cell;
use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListRow;
use App\Actions\Words\Labels;

/** Reads one line of a list into facts, or says which value is wrong and why. */
final class ReadRow
{
    private const YES = [
        'yes',
        'y',
        'on',
        'true',
        '1',
        'x',
        'auto',
        'automatic',
        'enabled',
        'active',
        'locked',
        'ja',
        'an',
        'ein',
        'wahr',
        'aktiv',
        'gesperrt',
        'aan',
        'oui',
        'vrai',
        'actif',
        'activé',
        'sí',
        'si',
        'sì',
        'verdadero',
        'vero',
        'attivo',
    ];

    private const NO = [
        'no',
        'n',
        'off',
        'false',
        '0',
        '-',
        'manual',
        'disabled',
        'inactive',
        'none',
        'unlocked',
        'nein',
        'aus',
        'falsch',
        'inaktiv',
        'nee',
        'uit',
        'non',
        'faux',
        'inactif',
        'désactivé',
        'falso',
        'inattivo',
    ];

    /** Name servers repeat from line to line: so many cells are remembered. */
    private const REMEMBERED = 2_000;

    /** Characters of a value that is kept as it is. */
    private const RAW = 10_000;

    /** The column that says in which currency the price is. */
    private readonly ?int $currencies;

    /** @var array<string, array<string, string>> what each column's own words mean, by field */
    private array $words = [];

    /** @var array<string, list<string>> hosts by the cell that names them */
    private array $hosts = [];

    /**
     * @param  list<ImportField>  $columns
     * @param  list<string>  $headings
     * @param  string  $currency  of amounts that name none
     */
    public function __construct(
        private readonly array $columns,
        private readonly array $headings,
        private readonly DateOrder $order,
        private readonly string $currency,
    ) {
        $currencies = array_search(ImportField::Currency, $columns, true);
        $this->currencies = $currencies === false ? null : $currencies;
        foreach ($columns as $field) {
            $this->words[$field->value] ??= self::words($field);
        }
    }

    /**
     * @return array{name: DomainName, facts: array<string, mixed>}
     *
     * @throws RefusedRow
     */
    public function handle(ListRow $row): array
    {
        $name = $currency = null;
        $facts = $raw = $servers = [];
        foreach ($this->columnsOf($row) as $column => $field) {
            $value = Cell::plain($row->cell($column));
            if ($value === '' || $field === ImportField::LeftOut) {
                continue;
            }
            if ($field === ImportField::Name) {
                $name = $this->name($value);
            } elseif ($field === ImportField::Servers) {
                $servers = [...$servers, ...$this->servers($value)];
                $facts['servers'] = array_values(array_unique($servers));
            } elseif ($field === ImportField::Raw) {
                $raw[$this->heading($column, $raw)] = $this->raw($value);
            } elseif ($field === ImportField::Currency) {
                $currency = $column;
            } elseif ($field === ImportField::Renewal) {
                $money = AmountRead::of($value, $row->isNumber($column), Cell::plain($row->cell($this->currencies ?? -1)), $this->currency);
                $facts['renewal'] = [$money->decimal(), $money->currency];
            } else {
                $facts[$field->value] = $this->fact($field, $value);
                if ($field === ImportField::Statuses && $this->saysMore($value)) {
                    $raw[$this->heading($column, $raw)] = $this->raw($value);
                }
            }
        }
        if ($name === null) {
            throw RefusedRow::because('no_name', '');
        }
        if (
            isset($facts['created'], $facts['ends']) &&
            is_string($facts['created']) &&
            is_string($facts['ends']) &&
            ! Instant::of($facts['created'])->isBefore(Instant::of($facts['ends']))
        ) {
            throw RefusedRow::because('ends_before_created', $facts['ends']);
        }
        if ($currency !== null && ! isset($facts['renewal'])) {
            $raw[$this->heading($currency, $raw)] = $this->raw(Cell::plain($row->cell($currency)));
        }
        ksort($raw);

        return ['name' => $name, 'facts' => $raw === [] ? $facts : [...$facts, 'raw' => $raw]];
    }

    /** @return list<ImportField> with what stands right of the last heading: it is kept as it is */
    private function columnsOf(ListRow $row): array
    {
        return array_pad($this->columns, max(count($this->columns), count($row->cells)), ImportField::Raw);
    }

    /** @param  array<string, string>  $taken  two columns may have one heading */
    private function heading(int $column, array $taken): string
    {
        $heading = $this->headings[$column] ?? '';
        $heading = $heading === '' ? $this->say('column', ['number' => $column + 1]) : $heading;
        $free = $heading;
        for ($number = 2; isset($taken[$free]); $number++) {
            $free = $this->say('also', ['heading' => $heading, 'number' => $number]);
        }

        return $free;
    }

    private function raw(string $value): string
    {
        $length = mb_strlen($value);

        return $length <= self::RAW
            ? $value
            : $this->say('cut', ['value' => mb_substr($value, 0, self::RAW), 'length' => $length, 'most' => self::RAW]);
    }

    /** @param  array<string, string|int>  $with */
    private function say(string $key, array $with): string
    {
        $said = __('imports.'.$key, $with);

        return is_string($said) ? $said : $key;
    }

    /** The name of a line that is refused for another reason: it is in the list all the same. */
    public function nameOf(ListRow $row): ?string
    {
        $column = array_search(ImportField::Name, $this->columns, true);
        try {
            return $column === false ? null : $this->name(Cell::plain($row->cell($column)))->ascii;
        } catch (RefusedRow) {
            return null;
        }
    }

    /** Whether a value says yes or no, or one of the words that the field itself has. */
    public static function isEither(ImportField $field, string $value): bool
    {
        $plain = mb_strtolower($value);

        return in_array($plain, self::YES, true) || in_array($plain, self::NO, true) || isset(self::words($field)[$plain]);
    }

    private function name(string $value): DomainName
    {
        try {
            $name = DomainName::of($value);
        } catch (NameError $e) {
            throw RefusedRow::saying($e->getMessage(), $value);
        }
        $registrable = $name->registrable();
        if (! $name->isRegistrable() && $name->ascii !== 'www.'.$registrable->ascii) {
            throw RefusedRow::because('below', $value, ['name' => $registrable->unicode]);
        }

        return $registrable;
    }

    /** @return string|list<string> */
    private function fact(ImportField $field, string $value): string|array
    {
        return match ($field) {
            ImportField::Created, ImportField::Ends, ImportField::Moved => $this->order->readExactly($value) ??
                throw RefusedRow::because('date', $value),
            ImportField::Intent => $this->either($field, $value, Intent::ByItself->value, Intent::WhenTold->value),
            ImportField::Lock => $this->either($field, $value, Lock::On->value, Lock::Off->value),
            ImportField::Disclosure => $this->either($field, $value, Disclosure::Replaced->value, Disclosure::Shown->value),
            ImportField::Statuses => $this->statuses($value),
            ImportField::Words => $this->labels($value),
            ImportField::Mailbox => mb_strlen($value) <= 320 && str_contains($value, '@')
                ? $value
                : throw RefusedRow::because('mailbox', $value),
            ImportField::Client, ImportField::Registrant, ImportField::Reference, ImportField::Account, ImportField::Registrar => mb_strlen(
                $value,
            ) <= 200
                ? $value
                : throw RefusedRow::because('long', $value),
            ImportField::Name,
            ImportField::Renewal,
            ImportField::Currency,
            ImportField::Servers,
            ImportField::LeftOut,
            ImportField::Raw => $value,
        };
    }

    private function either(ImportField $field, string $value, string $yes, string $no): string
    {
        $plain = mb_strtolower($value);

        return match (true) {
            isset($this->words[$field->value][$plain]) => $this->words[$field->value][$plain],
            in_array($plain, self::YES, true) => $yes,
            in_array($plain, self::NO, true) => $no,
            default => throw RefusedRow::because('either', $value),
        };
    }

    /** @return array<string, string> what a field's own words mean, in small letters: as they are kept, and as we say them */
    private static function words(ImportField $field): array
    {
        $cases = match ($field) {
            ImportField::Intent => array_column(Intent::cases(), 'value'),
            ImportField::Lock => array_column(Lock::cases(), 'value'),
            ImportField::Disclosure => array_column(Disclosure::cases(), 'value'),
            default => [],
        };
        $words = array_combine($cases, $cases);
        foreach ($cases as $case) {
            $said = __("words.{$field->value}.{$case}");
            $words[mb_strtolower(is_string($said) ? $said : $case)] = $case;
        }

        return $words;
    }

    /** @return list<string> */
    private function servers(string $value): array
    {
        if (count($this->hosts) >= self::REMEMBERED) {
            $this->hosts = [];
        }
        try {
            return $this->hosts[$value] ??= ServerNames::read($value);
        } catch (NameError $e) {
            throw RefusedRow::saying($e->getMessage(), $value);
        }
    }

    /** @return list<string> */
    private function labels(string $value): array
    {
        $labels = Labels::read($value);
        foreach ($labels as $label) {
            if (mb_strlen($label) > Labels::LENGTH) {
                throw RefusedRow::because('long_word', $label, ['most' => Labels::LENGTH]);
            }
        }

        return $labels;
    }

    /** @return list<string> */
    private function statuses(string $value): array
    {
        return array_values(
            array_unique(array_filter(array_map(fn (string $part): ?string => Status::read($part)?->value, self::parts($value)))),
        );
    }

    /** Registrars put words of their own here ("active"); those say nothing that the rules know, and are kept as they are. */
    private function saysMore(string $value): bool
    {
        return array_filter(self::parts($value), fn (string $part): bool => Status::read($part) === null) !== [];
    }

    /** @return list<string> */
    private static function parts(string $value): array
    {
        $parts = preg_split('/[,;|]+/', (string) preg_replace('~\(?https?://[^\s,;|)]+\)?~', '', $value), -1, PREG_SPLIT_NO_EMPTY);

        return array_values(array_filter(array_map(trim(...), $parts === false ? [] : $parts), fn (string $part): bool => $part !== ''));
    }
}
