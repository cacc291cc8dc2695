<?php

declare(strict_types=1);

namespace Acre\Wire\Epp;

use Acre\Wire\Xml\XmlNode;

/** One result of a response (RFC 5730 §2.6). */
final readonly class EppResult
{
    /** @param  list<string>  $why  the value that was wrong, and the reason, where the server says them */
    private function __construct(public EppCode $code, public string $message, public array $why)
    {
    }

    /** @throws EppError when the code is none of the RFC's */
    public static function of(XmlNode $result): self
    {
        $epp = EppNamespace::Epp->value;
        $code = $result->attribute('code') ?? '';
        $why = array_map(fn (XmlNode $value): string => $value->text(), $result->children($epp, 'value'));
        foreach ($result->children($epp, 'extValue') as $value) {
            $why[] = trim($value->child($epp, 'value')->text().': '.$value->textOf($epp, 'reason'), ': ');
        }

        return new self(
            EppCode::tryFrom(is_numeric($code) ? (int) $code : 0) ?? throw EppError::unknownCode($code),
            $result->textOf($epp, 'msg'),
            $why,
        );
    }
}
