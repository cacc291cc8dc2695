<?php

declare(strict_types=1);

namespace App\Outside\Reach;

use RuntimeException;

/** Somebody outside was not reached; the message names who. */
final class NotReached extends RuntimeException
{
    /** @param  int|null  $wait  seconds after which asking again makes sense, where that is known */
    private function __construct(public readonly Why $why, string $message, public readonly ?int $wait = null)
    {
        parent::__construct($message);
    }

    public static function notListed(string $host): self
    {
        return new self(Why::NotListed, "{$host} is not among the hosts that may be asked; it was not followed.");
    }

    public static function address(string $url): self
    {
        return new self(Why::NotListed, "Only addresses that begin with https:// are asked, not {$url}.");
    }

    public static function notPublic(string $host, string $address): self
    {
        return new self(Why::NotPublic, "{$host} is at {$address}, which is no public address; nothing was sent there.");
    }

    public static function noAddress(string $host): self
    {
        return new self(Why::NoAddress, "{$host} has no address.");
    }

    public static function silent(string $host, string $reason): self
    {
        return new self(Why::Silent, "{$host} did not answer: {$reason}.");
    }

    public static function certificate(string $host, string $reason): self
    {
        return new self(Why::Certificate, "{$host} could not prove who it is: {$reason}.");
    }

    public static function tooLong(string $host, int $limit): self
    {
        return new self(Why::TooLong, "{$host} sent more than {$limit} bytes; the rest was not read.");
    }

    public static function tooOften(string $host, int $wait): self
    {
        return new self(Why::TooOften, "{$host} wants to be left alone for {$wait} seconds.", $wait);
    }

    public static function refused(string $host, int $status, string $reason): self
    {
        return new self(Why::Refused, rtrim("{$host} answered {$status}. {$reason}"));
    }

    public static function garbled(string $host, string $reason): self
    {
        return new self(Why::Garbled, "What {$host} sent can’t be read: {$reason}");
    }

    public static function elsewhere(string $host, string $to): self
    {
        return new self(Why::Elsewhere, "{$host} points to {$to}; that was not followed.");
    }
}
