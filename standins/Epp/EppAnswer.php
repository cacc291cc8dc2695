<?php

declare(strict_types=1);

namespace Standin\Epp;

use Acre\Wire\Epp\EppCode;
use Acre\Wire\Epp\EppNamespace;
use Acre\Wire\Epp\EppWriter;
use Closure;

/** A response as it is written (RFC 5730 §2.6). */
final readonly class EppAnswer
{
    /**
     * @param  (Closure(EppWriter): mixed)|null  $data  inside resData
     * @param  (Closure(EppWriter): mixed)|null  $extension
     * @param  array{int, string, int|null, string|null}|null  $queue  how many messages wait, id of the first, when and what it says
     * @param  string|null  $putOff  the name whose update is to be looked at first
     */
    public function __construct(
        public EppCode $code,
        public ?Closure $data = null,
        public ?Closure $extension = null,
        public ?string $reason = null,
        public ?array $queue = null,
        public ?string $putOff = null,
    ) {
    }

    public static function done(?Closure $data = null, ?Closure $extension = null): self
    {
        return new self(EppCode::Done, $data, $extension);
    }

    public function document(?string $client, string $server): string
    {
        $to = (new EppWriter())
            ->begin('epp', ['xmlns' => EppNamespace::Epp->value])
            ->begin('response')
            ->begin('result', ['code' => (string) $this->code->value])
            ->text('msg', self::words($this->code));
        if ($this->reason !== null) {
            $to->begin('extValue')
                ->begin('value')
                ->text('reason', $this->reason, ['xmlns' => 'urn:acre-roll:params:xml:ns:why-1.0'])
                ->end()
                ->text('reason', $this->reason)
                ->end();
        }
        $to->end();
        if ($this->queue !== null) {
            [$count, $id, $at, $text] = $this->queue;
            $to->begin('msgQ', ['count' => (string) $count, 'id' => $id]);
            if ($at !== null && $text !== null) {
                $to->text('qDate', gmdate('Y-m-d\TH:i:s.0\Z', $at))->text('msg', $text);
            }
            $to->end();
        }
        if ($this->data !== null) {
            $to->open('resData', [], $this->data);
        }
        if ($this->extension !== null) {
            $to->open('extension', [], $this->extension);
        }
        $to->begin('trID');
        if ($client !== null) {
            $to->text('clTRID', $client);
        }

        return $to->text('svTRID', $server)->end()->end()->end()->document();
    }

    /** RFC 5730 §3 */
    private static function words(EppCode $code): string
    {
        return match ($code) {
            EppCode::Done => 'Command completed successfully',
            EppCode::Pending => 'Command completed successfully; action pending',
            EppCode::NoMessages => 'Command completed successfully; no messages',
            EppCode::AckToDequeue => 'Command completed successfully; ack to dequeue',
            EppCode::Ending => 'Command completed successfully; ending session',
            EppCode::UnknownCommand => 'Unknown command',
            EppCode::Syntax => 'Command syntax error',
            EppCode::Use => 'Command use error',
            EppCode::MissingParameter => 'Required parameter missing',
            EppCode::ValueRange => 'Parameter value range error',
            EppCode::ValueSyntax => 'Parameter value syntax error',
            EppCode::UnimplementedVersion => 'Unimplemented protocol version',
            EppCode::UnimplementedCommand => 'Unimplemented command',
            EppCode::UnimplementedOption => 'Unimplemented option',
            EppCode::UnimplementedExtension => 'Unimplemented extension',
            EppCode::Billing => 'Billing failure',
            EppCode::NotRenewable => 'Object is not eligible for renewal',
            EppCode::NotTransferable => 'Object is not eligible for transfer',
            EppCode::Authentication => 'Authentication error',
            EppCode::Authorization => 'Authorization error',
            EppCode::InvalidAuthorization => 'Invalid authorization information',
            EppCode::TransferPending => 'Object pending transfer',
            EppCode::NoTransferPending => 'Object not pending transfer',
            EppCode::Exists => 'Object exists',
            EppCode::DoesNotExist => 'Object does not exist',
            EppCode::StatusProhibits => 'Object status prohibits operation',
            EppCode::AssociationProhibits => 'Object association prohibits operation',
            EppCode::Policy => 'Parameter value policy error',
            EppCode::UnimplementedService => 'Unimplemented object service',
            EppCode::DataPolicy => 'Data management policy violation',
            EppCode::Failed => 'Command failed',
            EppCode::FailedClosing => 'Command failed; server closing connection',
            EppCode::AuthenticationClosing => 'Authentication error; server closing connection',
            EppCode::SessionLimit => 'Session limit exceeded; server closing connection',
        };
    }
}
