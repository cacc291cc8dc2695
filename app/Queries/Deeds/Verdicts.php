<?php

declare(strict_types=1);

namespace App\Queries\Deeds;

use Acre\Core\Finding\Effect;
use Acre\Core\Finding\Finding;
use App\Queries\Names\HeldCase;
use App\Queries\Names\RollCase;

/** The verdicts on many names, told in groups by what is in the way; whole groups can be left out. */
final readonly class Verdicts
{
    /** @var list<JudgedName> what is not left out */
    public array $kept;

    /** @var list<JudgedName> those of them that can go */
    public array $clear;

    /**
     * @param  list<JudgedName>  $all
     * @param  list<string>  $without  keys of findings whose names are left out
     */
    public function __construct(public array $all, private array $without)
    {
        $this->kept = array_values(
            array_filter($all, fn (JudgedName $one): bool => ! in_array(self::inTheWay($one)?->key(), $without, true)),
        );
        $this->clear = array_values(array_filter($this->kept, fn (JudgedName $one): bool => $one->readiness->isClear()));
    }

    /** @return list<HeldCase> those of what is kept that lie in our accounts */
    public function held(): array
    {
        $files = array_map(fn (JudgedName $one): RollCase => $one->file, $this->kept);

        return array_values(array_filter($files, fn (RollCase $file): bool => $file instanceof HeldCase));
    }

    public function stopped(): int
    {
        return count($this->kept) - count($this->clear);
    }

    /** @return list<VerdictGroup> most names first */
    public function groups(): array
    {
        $groups = [];
        foreach ($this->all as $one) {
            $finding = self::inTheWay($one);
            if ($finding !== null) {
                $groups[$finding->key()] ??= [$finding, 0];
                $groups[$finding->key()][1]++;
            }
        }
        uasort($groups, fn (array $a, array $b): int => $b[1] <=> $a[1]);

        return array_values(
            array_map(
                fn (array $group): VerdictGroup => new VerdictGroup($group[0], $group[1], in_array($group[0]->key(), $this->without, true)),
                $groups,
            ),
        );
    }

    /**
     * The first so many rows, those in the way of which something stands before the others.
     *
     * @return list<JudgedName>
     */
    public function rows(int $limit): array
    {
        $rows = $this->kept;
        usort($rows, fn (JudgedName $a, JudgedName $b): int => $a->readiness->isClear() <=> $b->readiness->isClear());

        return array_slice($rows, 0, $limit);
    }

    /** @return list<int> */
    public function clearIds(): array
    {
        return array_map(fn (JudgedName $one): int => $one->file->nameId, $this->clear);
    }

    private static function inTheWay(JudgedName $one): ?Finding
    {
        foreach ($one->readiness->isClear() ? [] : $one->readiness->findings as $finding) {
            if ($finding->effect !== Effect::Worth) {
                return $finding;
            }
        }

        return null;
    }
}
