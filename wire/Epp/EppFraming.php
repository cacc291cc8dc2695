<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

/** Frames on the wire (RFC 5734 §4): four bytes that count themselves too, then the document. */
final class EppFraming
{
    /** Bytes of a frame that are read. */
    public const LIMIT = 1_000_000;

    private string $pending = '';

    public static function pack(string $document): string
    {
        return pack('N', strlen($document) + 4).$document;
    }

    /**
     * Takes what has arrived, in whatever pieces.
     *
     * @return list<string> the documents that are whole now, in UTF-8
     *
     * @throws EppError at once when a frame says that it is longer than is read
     */
    public function feed(string $bytes): array
    {
        $this->pending .= $bytes;
        $documents = [];
        while (strlen($this->pending) >= 4) {
            /** @var array{1: int} $read */
            $read = unpack('N', $this->pending);
            $length = $read[1];
            if ($length < 5 || $length > self::LIMIT) {
                throw EppError::frameLength($length, self::LIMIT);
            }
            if (strlen($this->pending) < $length) {
                break;
            }
            $documents[] = EppEncoding::toUtf8(substr($this->pending, 4, $length - 4));
            $this->pending = substr($this->pending, $length);
        }

        return $documents;
    }

    /** Whether part of a frame has arrived and not the rest. */
    public function isInside(): bool
    {
        return $this->pending !== '';
    }
}
