<?php

declare(strict_types=1);

namespace Acre\Core\Name;

/** What a registry is likely to refuse although UTS 46 lets it through. */
enum NameFinding: string
{
    /** A symbol, picture or ideogram mark that IDNA2008 (RFC 5892) disallows. */
    case SymbolInLabel = 'symbol_in_label';
    /** Letters of two scripts in one label; registries' tables (ICANN IDN guidelines) allow one. */
    case MixedScripts = 'mixed_scripts';
    /** Hyphens in the third and fourth place, kept for encodings (RFC 5891 §4.2.3.1). */
    case ReservedHyphens = 'reserved_hyphens';
    /** The suffix is not on the public suffix list that ships with us. */
    case UnknownSuffix = 'unknown_suffix';
}
