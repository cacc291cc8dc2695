<?php

declare(strict_types=1);

namespace Acre\Core\Rulebook;

use Acre\Core\Time\Instant;

/** What every suffix demands and allows: one file a suffix in a folder, and a cautious default for those without one. */
final class Rulebook
{
    private const DEFAULT = '_default.yaml';

    /** @var array<string, RuleFile> by suffix */
    private array $read = [];

    /** @var array<string, RuleSet> by suffix, what held at the instant that was asked for last */
    private array $held = [];

    private ?int $heldAt = null;

    private ?string $digest = null;

    public function __construct(private readonly string $folder)
    {
    }

    /**
     * @param  string  $suffix  as `DomainName::suffix()` gives it
     *
     * @throws RulebookError when its file can't be read
     */
    public function for(string $suffix, Instant $now): RuleSet
    {
        if ($this->heldAt !== $now->epoch) {
            [$this->heldAt, $this->held] = [$now->epoch, []];
        }

        return $this->held[$suffix] ??= $this->file($suffix)->at($now, $suffix);
    }

    /** The whole file of a suffix, every edition in it; the default's where it has none of its own. */
    public function file(string $suffix): RuleFile
    {
        return $this->read[$suffix] ??= is_file("{$this->folder}/{$suffix}.yaml")
            ? RuleFile::read("{$this->folder}/{$suffix}.yaml")
            : ($this->read[self::DEFAULT] ??= RuleFile::read($this->folder.'/'.self::DEFAULT));
    }

    /** @return list<string> the suffixes that have a file of their own */
    public function suffixes(): array
    {
        $files = glob($this->folder.'/[a-z0-9]*.yaml');

        $suffixes = array_map(fn (string $path): string => basename($path, '.yaml'), $files === false ? [] : $files);
        sort($suffixes);

        return $suffixes;
    }

    /** Changes with any byte of the rulebook: what was judged by another one must be judged again. */
    public function digest(): string
    {
        if ($this->digest === null) {
            $files = glob($this->folder.'/*.yaml');
            $this->digest = substr(
                hash(
                    'sha256',
                    implode(
                        "\0",
                        array_map(fn (string $path): string => (string) file_get_contents($path), $files === false ? [] : $files),
                    ),
                ),
                0,
                16,
            );
        }

        return $this->digest;
    }
}
