<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Proof;
use Illuminate\Http\Response;

/** The text of a proof as a file, byte for byte what its digest is of. */
final readonly class ProofText
{
    /** @param  string  $name  of the file, without its ending */
    public static function download(Proof $proof, string $name): Response
    {
        return new Response($proof->text, 200, [
            'Content-Type' => 'text/plain; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"{$name}.txt\"",
        ]);
    }
}
