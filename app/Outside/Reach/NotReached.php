<?php

declare(strict_types=1);

namespace App\Outside\Reach;

use RuntimeException;

/** Somebody outside was not reached; the message names who. */
final class NotReached extends RuntimeException
{
    /**
     * @param  int|null  $wait  seconds after which asking again makes sense, where that is known
     * @param  bool  $isOfOneQuestion  whether whoever was asked may well answer another question
     */
    private function __construct(
        public readonly FailureReason $why,
        string $message,
        public readonly ?int $wait = null,
        public readonly bool $isOfOneQuestion = false,
    ) {
        parent::__construct($message);
    }

    /** The same, of the host and not of what it was asked: it let nobody in. */
    public function ofHost(): self
    {
        return new self($this->why, $this->message, $this->wait);
    }

    /** The same, of what was asked and not of the host. */
    public function ofOneQuestion(): self
    {
        return new self($this->why, $this->message, $this->wait, true);
    }

    public static function notListed(string $host): self
    {
        return new self(FailureReason::NotListed, "{$host} is not among the hosts that may be asked; it was not followed.");
    }

    public static function address(string $url): self
    {
        return new self(FailureReason::NotListed, "Only addresses that begin with https:// are asked, not {$url}.");
    }

    public static function notPublic(string $host, string $address): self
    {
        return new self(FailureReason::NotPublic, "{$host} is at {$address}, which is no public address; nothing was sent there.");
    }

    public static function noAddress(string $host): self
    {
        return new self(FailureReason::NoAddress, "{$host} has no address.");
    }

    public static function silent(string $host, string $reason): self
    {
        return new self(FailureReason::Silent, "{$host} did not answer: {$reason}.", isOfOneQuestion: true);
    }

    public static function certificate(string $host, string $reason): self
    {
        return new self(FailureReason::Certificate, "{$host} could not prove who it is: {$reason}.");
    }

    public static function tooLong(string $host, int $limit): self
    {
        return new self(FailureReason::TooLong, "{$host} sent more than {$limit} bytes; the rest was not read.", isOfOneQuestion: true);
    }

    public static function tooOften(string $host, int $wait): self
    {
        return new self(FailureReason::TooOften, "{$host} wants to be left alone for {$wait} seconds.", $wait);
    }

    public static function refused(string $host, int $status, string $reason): self
    {
        return new self(FailureReason::Refused, rtrim("{$host} answered {$status}. {$reason}"));
    }

    public static function garbled(string $host, string $reason): self
    {
        return new self(FailureReason::Garbled, "What {$host} sent can’t be read: {$reason}", isOfOneQuestion: true);
    }

    public static function elsewhere(string $host, string $to): self
    {
        return new self(FailureReason::Elsewhere, "{$host} points to {$to}; that was not followed.");
    }
}
