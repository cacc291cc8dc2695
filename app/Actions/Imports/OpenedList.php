<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use Acre\Wire\Lists\ListError;
use Acre\Wire\Lists\ListOptions;
use Acre\Wire\Lists\ListRow;
use Generator;
use Symfony\Component\Process\Exception\ProcessFailedException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;
use Throwable;

/**
 * A list that somebody sent, read in a process of its own: what the file does to it, it does not do to us.
 *
 * The process has neither our settings nor our secrets in its environment, a limit of memory and one of time.
 */
final readonly class OpenedList
{
    /** Bytes. */
    private const MEMORY = 201_326_592;

    /**
     * @param  list<string>  $headings
     * @param  list<string>  $sheets  those that have rows
     * @param  bool  $namesColumns  whether its format itself says what the columns are
     */
    private function __construct(
        public array $headings,
        public bool $hasHeadings,
        public bool $namesColumns,
        public array $sheets,
        public string $sheet,
        private Process $process,
        private Generator $values,
        private PrivateFolder $folder,
    ) {
    }

    /**
     * @param  ListOptions  $options  what a person said about it
     * @param  int|null  $rows  the most rows that are read
     * @param  int  $seconds  the longest that it may take
     *
     * @throws ListError when it is no list
     */
    public static function open(string $path, ListOptions $options = new ListOptions(), ?int $rows = null, int $seconds = 900): self
    {
        $folder = PrivateFolder::make();
        $nothing = array_fill_keys(array_keys(getenv()), false);
        $process = new Process(
            [
                (string) (new PhpExecutableFinder())->find(false),
                '-d',
                'memory_limit='.self::MEMORY,
                '-d',
                'display_errors=0',
                base_path('bin/read-list.php'),
                $path,
                (string) ($rows ?? PHP_INT_MAX),
                json_encode($options, JSON_THROW_ON_ERROR),
            ],
            base_path(),
            [...$nothing, 'LANG' => 'C.UTF-8', 'TMPDIR' => $folder->path],
            null,
            $seconds,
        );
        try {
            $process->start();
            $values = self::values($process);
            $first = $values->current();
            if (! is_array($first) || ! is_array($first['headings'] ?? null)) {
                throw ListError::tooHeavy();
            }
        } catch (Throwable $e) {
            $process->stop(0);
            $folder->remove();
            throw $e;
        }

        return new self(
            self::texts($first['headings']),
            ($first['has_headings'] ?? null) === true,
            ($first['names_columns'] ?? null) === true,
            self::texts($first['sheets'] ?? null),
            is_string($first['sheet'] ?? null) ? $first['sheet'] : '',
            $process,
            $values,
            $folder,
        );
    }

    /**
     * Once only.
     *
     * @return Generator<int, ListRow>
     *
     * @throws ListError when the file is not to be borne
     */
    public function rows(): Generator
    {
        try {
            for ($this->values->next(); $this->values->valid(); $this->values->next()) {
                $value = $this->values->current();
                if (! is_array($value) || isset($value['end'])) {
                    return;
                }
                if (is_int($value[0] ?? null) && is_array($value[1] ?? null)) {
                    yield new ListRow(
                        $value[0],
                        self::texts($value[1]),
                        array_values(array_filter(is_array($value[2] ?? null) ? $value[2] : [], is_int(...))),
                    );
                }
            }
            // It ended without saying so: something stopped it.
            throw ListError::tooHeavy();
        } finally {
            $this->process->stop(0);
            $this->folder->remove();
        }
    }

    /** @return list<string> */
    private static function texts(mixed $values): array
    {
        return array_values(array_filter(is_array($values) ? $values : [], is_string(...)));
    }

    /** @return Generator<int, mixed> */
    private static function values(Process $process): Generator
    {
        $pending = '';
        try {
            foreach ($process->getIterator(Process::ITER_SKIP_ERR) as $read) {
                $pending .= $read;
                $lines = explode("\n", $pending);
                $pending = array_pop($lines);
                foreach ($lines as $line) {
                    $value = json_decode($line, true);
                    if (is_array($value) && is_string($value['error'] ?? null)) {
                        throw ListError::told($value['error']);
                    }
                    yield $value;
                }
            }
        } catch (ProcessTimedOutException|ProcessFailedException) {
            throw ListError::tooHeavy();
        }
    }
}
