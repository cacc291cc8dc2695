<?php

declare(strict_types=1);

namespace App\Actions\Deeds;

/** A deed by which agreements of a registrar, or of its registries, are accepted for the registrants. */
interface AcceptsAgreements extends Deed
{
    /**
     * @param  array<string, mixed>  $terms
     * @return list<array{name: string, address: string}> as they are named today
     */
    public function agreements(array $terms): array;

    /** @param  array<string, mixed>  $terms */
    public function authority(array $terms): Authority;
}
