<?php

declare(strict_types=1);

namespace App\Outside\Directory;

use Acre\Core\Record\Record;
use Acre\Core\Record\Source;
use App\Outside\Reach\FailureReason;
use App\Outside\Reach\NotReached;

/** What one source answered: a record, that it has no such name, or why there is no answer. */
final readonly class DirectoryAnswer
{
    /**
     * @param  string  $from  the address that was asked, as people read it
     * @param  string|null  $raw  the answer as it came
     * @param  bool  $isPlain  whether it was said in the words of the protocol
     */
    private function __construct(
        public Source $source,
        public string $from,
        public ?Record $record,
        public bool $isAnswer,
        public ?string $raw,
        public ?string $reason,
        public ?FailureReason $why,
        public ?int $wait,
        public bool $isPlain = true,
    ) {
    }

    public static function record(string $from, Record $record, string $raw): self
    {
        return new self($record->source, $from, $record, true, $raw, null, null, null);
    }

    public static function noSuchName(Source $source, string $from, string $raw, bool $isPlain = true): self
    {
        return new self($source, $from, null, true, $raw, null, null, null, $isPlain);
    }

    public static function not(Source $source, string $from, NotReached $reason, ?string $raw = null): self
    {
        return new self($source, $from, null, false, $raw, $reason->getMessage(), $reason->why, $reason->wait);
    }

    /** Nobody is known to answer for that suffix. */
    public static function nobody(string $suffix): self
    {
        return new self(
            Source::Registry,
            ".{$suffix}",
            null,
            false,
            null,
            "No directory is known that answers for .{$suffix}.",
            FailureReason::NotListed,
            null,
        );
    }

    public function digest(): string
    {
        return $this->record?->digest() ?? 'none';
    }
}
