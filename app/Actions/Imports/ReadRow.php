<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Core\Contact\Disclosure;
use Acre\Core\Delegation\ServerNames;
use Acre\Core\Lifecycle\Intent;
use Acre\Core\Lifecycle\Lock;
use Acre\Core\Lifecycle\Status;
use Acre\Core\Name\DomainName;
use Acre\Core\Name\NameError;
use Acre\Wire\Lists\DateOrder;
use Acre\Wire\Lists\ListRow;
use App\Actions\Names\Labels;

/** Reads one line of a list into facts, or says which value is wrong and why. */
final readonly class ReadRow
{
    private const YES = ['yes', 'y', 'on', 'true', '1', 'auto', 'automatic', 'enabled', 'active', 'ja', 'oui', 'locked', 'renews by itself', 'by_itself'];

    private const NO = ['no', 'n', 'off', 'false', '0', 'manual', 'disabled', 'none', 'nein', 'non', 'unlocked', 'renew when told', 'when_told'];

    /**
     * @param  list<ImportField>  $columns
     * @param  list<string>  $headings
     */
    public function __construct(private array $columns, private array $headings, private DateOrder $order)
    {
    }

    /**
     * @return array{name: DomainName, facts: array<string, mixed>}
     *
     * @throws RefusedRow
     */
    public function handle(ListRow $row): array
    {
        $name = null;
        $facts = $raw = $servers = [];
        foreach ($this->columns as $column => $field) {
            $value = $row->cell($column);
            if ($value === '' || $field === ImportField::LeftOut) {
                continue;
            }
            if ($field === ImportField::Name) {
                $name = $this->name($value);
            } elseif ($field === ImportField::Servers) {
                $servers = [...$servers, ...$this->servers($value)];
                $facts['servers'] = array_values(array_unique($servers));
            } elseif ($field === ImportField::Raw) {
                $raw[$this->headings[$column] === '' ? 'column '.($column + 1) : $this->headings[$column]] = mb_substr($value, 0, 1000);
            } else {
                $facts[$field->value] = $this->fact($field, $value);
            }
        }
        if ($name === null) {
            throw RefusedRow::because('no_name', '');
        }
        if (isset($facts['created'], $facts['ends']) && $facts['ends'] <= $facts['created']) {
            throw RefusedRow::because('ends_before_created', is_string($facts['ends']) ? $facts['ends'] : '');
        }
        ksort($raw);

        return ['name' => $name, 'facts' => $raw === [] ? $facts : [...$facts, 'raw' => $raw]];
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
            ImportField::Created, ImportField::Ends, ImportField::Moved => $this->order->read($value) ?? throw RefusedRow::because('date', $value),
            ImportField::Intent => $this->either($value, Intent::ByItself->value, Intent::WhenTold->value, array_column(Intent::cases(), 'value')),
            ImportField::Lock => $this->either($value, Lock::On->value, Lock::Off->value, array_column(Lock::cases(), 'value')),
            ImportField::Disclosure => $this->either($value, Disclosure::Replaced->value, Disclosure::Shown->value, array_column(Disclosure::cases(), 'value')),
            ImportField::Statuses => $this->statuses($value),
            ImportField::Words => $this->labels($value),
            ImportField::Mailbox => mb_strlen($value) <= 320 && str_contains($value, '@') ? $value : throw RefusedRow::because('mailbox', $value),
            ImportField::Client, ImportField::Registrant, ImportField::Reference, ImportField::Account => mb_strlen($value) <= 200 ? $value : throw RefusedRow::because('long', $value),
            ImportField::Name, ImportField::Servers, ImportField::LeftOut, ImportField::Raw => $value,
        };
    }

    /** @param  list<string>  $cases */
    private function either(string $value, string $yes, string $no, array $cases): string
    {
        $plain = mb_strtolower($value);

        return match (true) {
            in_array($plain, $cases, true) => $plain,
            in_array($plain, self::YES, true) => $yes,
            in_array($plain, self::NO, true) => $no,
            default => throw RefusedRow::because('either', $value),
        };
    }

    /** @return list<string> */
    private function servers(string $value): array
    {
        try {
            return ServerNames::read($value);
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
        $parts = preg_split('/[,;|]+/', $value, -1, PREG_SPLIT_NO_EMPTY);
        $found = [];
        foreach ($parts === false ? [] : $parts as $part) {
            // Registrars put words of their own here ("active"); those say nothing that the rules know.
            $status = Status::read((string) preg_replace('~https?://\S+~', '', $part));
            if ($status !== null) {
                $found[] = $status->value;
            }
        }

        return array_values(array_unique($found));
    }
}
