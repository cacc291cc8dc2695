<?php

declare(strict_types=1);

namespace Acre\Wire\Dns;

/** A question or an answer (RFC 1035 §4.1). */
final readonly class Message
{
    public const HEAD = 12;

    /** In a datagram, where nobody said that more fit (RFC 1035 §4.2.1). */
    public const PLAIN_ROOM = 512;

    /** Over TCP (RFC 1035 §4.2.2). */
    public const STREAM_ROOM = 65_535;

    private const CLASS_IN = 1;

    private const RESPONSE = 0x8000;

    private const AUTHORITATIVE = 0x0400;

    private const TRUNCATED = 0x0200;

    private const RECURSION_DESIRED = 0x0100;

    private const RECURSION_AVAILABLE = 0x0080;

    private const AUTHENTIC = 0x0020;

    private const CHECKING_DISABLED = 0x0010;

    /** Less than this no record takes, so that nobody is promised more of them than bytes. */
    private const SHORTEST_RECORD = 11;

    /**
     * @param  list<Question>  $questions
     * @param  list<Record>  $answers
     * @param  list<Record>  $authority
     * @param  list<Record>  $additional  without the OPT record, which is `$edns`
     * @param  int  $code  one of `ResponseCode`, with the bits that EDNS adds
     */
    public function __construct(
        public int $id,
        public array $questions,
        public bool $isAnswer = false,
        public int $code = ResponseCode::OK,
        public array $answers = [],
        public array $authority = [],
        public array $additional = [],
        public ?Edns $edns = null,
        public bool $isAuthoritative = false,
        public bool $isTruncated = false,
        public bool $wantsRecursion = false,
        public bool $offersRecursion = false,
        public bool $isAuthentic = false,
        public bool $checkingDisabled = false,
        public int $opcode = 0,
    ) {
    }

    public static function ask(int $id, Question $question, ?Edns $edns = null): self
    {
        return new self($id, [$question], edns: $edns);
    }

    /** @throws DnsError */
    public static function read(string $bytes): self
    {
        $from = new Octets($bytes);
        [$id, $flags] = [$from->u16(), $from->u16()];
        $counts = [$from->u16(), $from->u16(), $from->u16(), $from->u16()];
        $questions = [];
        for ($count = 0; $count < $counts[0]; $count++) {
            $questions[] = new Question($from->name(), $from->u16());
            $from->u16();
        }
        $edns = null;
        $sections = [[], [], []];
        foreach ([1, 2, 3] as $section) {
            if ($from->length - $from->at < $counts[$section] * self::SHORTEST_RECORD) {
                throw DnsError::message($from->at, "it promises {$counts[$section]} records, and has too few bytes for them");
            }
            for ($count = 0; $count < $counts[$section]; $count++) {
                $record = self::record($from);
                if (! $record instanceof Edns) {
                    $sections[$section - 1][] = $record;
                } elseif ($edns !== null || $section !== 3) {
                    throw DnsError::message($from->at, 'a second OPT record, or one in the wrong place');
                } else {
                    $edns = $record;
                }
            }
        }

        return new self(
            $id,
            $questions,
            ($flags & self::RESPONSE) !== 0,
            (($edns->extendedCode ?? 0) << 4) | ($flags & 0xF),
            $sections[0],
            $sections[1],
            $sections[2],
            $edns,
            ($flags & self::AUTHORITATIVE) !== 0,
            ($flags & self::TRUNCATED) !== 0,
            ($flags & self::RECURSION_DESIRED) !== 0,
            ($flags & self::RECURSION_AVAILABLE) !== 0,
            ($flags & self::AUTHENTIC) !== 0,
            ($flags & self::CHECKING_DISABLED) !== 0,
            ($flags >> 11) & 0xF,
        );
    }

    /** @throws DnsError */
    private static function record(Octets $from): Record|Edns
    {
        [$name, $type, $class, $ttl, $length] = [$from->name(), $from->u16(), $from->u16(), $from->u32(), $from->u16()];
        $end = $from->at + $length;
        if ($end > $from->length) {
            throw DnsError::message($from->at, 'a record is longer than the message');
        }
        if ($type === RecordType::OPT) {
            $from->take($length);

            return new Edns($class, ($ttl & 0x8000) !== 0, ($ttl >> 16) & 0xFF, $ttl >> 24);
        }
        $data = $class === self::CLASS_IN ? RecordType::dataOf($type) : Data\Unknown::class;
        $value = $data::read($from, $length);
        if ($from->at !== $end) {
            throw DnsError::message($from->at, 'a record has another length than its fields');
        }

        // A time with its highest bit set counts as none (RFC 2181 §8).
        return new Record($name, $type, $ttl > 0x7FFFFFFF ? 0 : $ttl, $value);
    }

    /**
     * In a message that is too long whole sections are left out from the back, and it says so (RFC 2181 §9).
     *
     * @param  int  $room  bytes
     *
     * @throws DnsError when not even the question fits
     */
    public function octets(int $room = self::STREAM_ROOM): string
    {
        $bytes = $this->written($this->answers, $this->authority, $this->additional, $this->isTruncated);
        if (strlen($bytes) > $room && $this->additional !== []) {
            // What is merely additional may be missing without a word; the addresses of a referral's own servers may not (RFC 9471).
            $bytes = $this->written($this->answers, $this->authority, [], $this->answers === [] && ! $this->isAuthoritative);
        }
        if (strlen($bytes) > $room) {
            $bytes = $this->written([], [], [], true);
        }

        return strlen($bytes) > $room ? throw DnsError::tooLong(strlen($bytes), $room) : $bytes;
    }

    /**
     * @param  list<Record>  $answers
     * @param  list<Record>  $authority
     * @param  list<Record>  $additional
     */
    private function written(array $answers, array $authority, array $additional, bool $isTruncated): string
    {
        $flags =
            ($this->isAnswer ? self::RESPONSE : 0) |
            ($this->opcode << 11) |
            ($this->isAuthoritative ? self::AUTHORITATIVE : 0) |
            ($isTruncated ? self::TRUNCATED : 0) |
            ($this->wantsRecursion ? self::RECURSION_DESIRED : 0) |
            ($this->offersRecursion ? self::RECURSION_AVAILABLE : 0) |
            ($this->isAuthentic ? self::AUTHENTIC : 0) |
            ($this->checkingDisabled ? self::CHECKING_DISABLED : 0) |
            ($this->code & 0xF);
        $to = Packet::message();
        $to->u16(
            $this->id,
            $flags,
            count($this->questions),
            count($answers),
            count($authority),
            count($additional) + ($this->edns === null ? 0 : 1),
        );
        foreach ($this->questions as $question) {
            $to->name($question->name)->u16($question->type, self::CLASS_IN);
        }
        foreach ([...$answers, ...$authority, ...$additional] as $record) {
            $to->name($record->name)->u16($record->type, self::CLASS_IN)->u32($record->ttl);
            $to->counted(fn (Packet $packet) => $record->data->write($packet));
        }
        if ($this->edns !== null) {
            $to->name(Name::root())
                ->u16(RecordType::OPT, $this->edns->room)
                ->u8($this->code >> 4)
                ->u8($this->edns->version)
                ->u16($this->edns->wantsSignatures ? 0x8000 : 0, 0);
        }

        return $to->bytes;
    }
}
