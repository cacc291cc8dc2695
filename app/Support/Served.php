<?php

declare(strict_types=1);

namespace App\Support;

/** What those we serve are called in this house: an agency has clients, an organisation its departments or brands. */
enum Served: string
{
    case Client = 'client';
    case Customer = 'customer';
    case Department = 'department';
    case Brand = 'brand';

    public function one(): string
    {
        return $this->value;
    }

    public function many(): string
    {
        return $this->value.'s';
    }
}
