"""Makes the faces labels are printed in from the woff2 the pages ship, and the table of their advances: run once, its results are
committed. Needs Debian's python3-fonttools and python3-brotli.   /usr/bin/python3 frontend/label/faces.py"""
import os
import tempfile

from fontTools.merge import Merger
from fontTools.ttLib import TTFont
from fontTools.varLib import instancer

HERE = os.path.dirname(os.path.abspath(__file__))
ROOT = os.path.join(HERE, '..', '..')
FROM = os.path.join(ROOT, 'app', 'src', 'main', 'resources', 'static', 'fonts')
TTF = os.path.join(ROOT, 'app', 'src', 'main', 'resources', 'label')
TABLE = os.path.join(ROOT, 'core', 'src', 'main', 'resources', 'app', 'velvetcrock', 'core', 'label', 'advances.csv')
NAME = 'atkinson-hyperlegible-next'
# Ligatures and kerning are taken out: every glyph is placed by its advance alone, on the page and on paper.
DROPPED = ('GSUB', 'GPOS', 'GDEF', 'DSIG', 'STAT', 'HVAR', 'MVAR')


def static(weight):
    parts = []
    for part in ('latin', 'latin-ext'):
        font = TTFont(os.path.join(FROM, f'{NAME}-{part}.woff2'))
        font.flavor = None
        font = instancer.instantiateVariableFont(font, {'wght': weight})
        for table in DROPPED:
            if table in font:
                del font[table]
        path = os.path.join(tempfile.mkdtemp(), part + '.ttf')
        font.save(path)
        parts.append(path)
    return Merger().merge(parts)


os.makedirs(TTF, exist_ok=True)
rows = {}
heads = []
for face, weight in (('regular', 400), ('bold', 700)):
    font = static(weight)
    for table in DROPPED:
        if table in font:
            del font[table]
    font.save(os.path.join(TTF, f'{face}.ttf'))
    em = font['head'].unitsPerEm
    heads.append((face, font['OS/2'].sxHeight / em, font['hhea'].ascent / em, -font['hhea'].descent / em, font['OS/2'].sCapHeight / em))
    for code, glyph in font.getBestCmap().items():
        rows.setdefault(code, {})[face] = round(font['hmtx'][glyph][0] * 1000 / em)
with open(TABLE, 'w', encoding='utf-8') as out:
    out.write('# Advances of the faces labels are printed in, thousandths of an em, made by frontend/label/faces.py from the shipped faces.\n')
    for face, x, up, down, cap in heads:
        out.write(f'# {face}: x-height {x:.4f}, ascent {up:.4f}, descent {down:.4f}, capitals {cap:.4f} of an em\n')
    out.write('code;regular;bold\n')
    for code in sorted(rows):
        if 'regular' in rows[code] and 'bold' in rows[code] and code >= 32:
            out.write(f"{code:04x};{rows[code]['regular']};{rows[code]['bold']}\n")
