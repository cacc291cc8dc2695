#!/usr/bin/env python3
"""Makes core/Drawing/Data/advances.php: advance widths of the shipped text font, in thousandths of an em.

Needs Debian's python3-fonttools and python3-brotli, and node_modules. Run: /usr/bin/python3 bin/advances.py
"""
import glob
from fontTools.ttLib import TTFont
from fontTools.varLib import instancer

folder = 'node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-'
out = ["<?php", "", "// Advance widths of Atkinson Hyperlegible Next in thousandths of an em, by weight and code point.",
       "// Made by bin/advances.py from the shipped font.", "", "return ["]
for weight in (400, 600):
    widths = {}
    for part in ('latin-ext', 'latin'):
        font = instancer.instantiateVariableFont(TTFont(f'{folder}{part}-wght-normal.woff2'), {'wght': weight})
        # Figures are set tabular (tnum), so a figure's width is that of its tabular form where the font has one.
        swap = {}
        for feature in font['GSUB'].table.FeatureList.FeatureRecord:
            if feature.FeatureTag == 'tnum':
                for index in feature.Feature.LookupListIndex:
                    for table in font['GSUB'].table.LookupList.Lookup[index].SubTable:
                        swap.update(getattr(table, 'mapping', {}))
        em = font['head'].unitsPerEm
        for code, glyph in font.getBestCmap().items():
            if 32 <= code < 0x250 or 0x2010 <= code <= 0x2026 or code in (0x20AC, 0x2212, 0x2192):
                widths[code] = round(font['hmtx'][swap.get(glyph, glyph)][0] * 1000 / em)
    out.append(f'    {weight} => [')
    row = [f'{code} => {width}' for code, width in sorted(widths.items())]
    for start in range(0, len(row), 12):
        out.append('        ' + ', '.join(row[start:start + 12]) + ',')
    out.append('    ],')
out += ['];', '']
open('core/Drawing/Data/advances.php', 'w', encoding='utf-8').write('\n'.join(out))
