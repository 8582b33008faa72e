"""Outlines of variable fonts at places of their axes, for outlines.csv: python outlines.py FOLDER > outlines.csv

FOLDER holds the fonts as TTF files, or as WOFF2 where the package brotli is there.
"""
import os
import sys

import fontTools
from fontTools.ttLib import TTFont
from fontTools.varLib import instancer

PLACES = [
    ("bricolage-grotesque-latin", {"wght": 700}),
    ("bricolage-grotesque-latin", {"wght": 275}),
    ("fraunces-latin", {"wght": 640}),
    ("literata-latin-italic", {"wght": 830}),
    ("fraunces-latin-ext", {"wght": 900}),
]

print("# fontTools %s, varLib.instancer: file;axes;character;advance;points" % fontTools.version)
for name, place in PLACES:
    file = os.path.join(sys.argv[1], name)
    font = TTFont(file + (".ttf" if os.path.exists(file + ".ttf") else ".woff2"))
    axes = {axis.axisTag: place.get(axis.axisTag, axis.defaultValue) for axis in font["fvar"].axes}
    fixed = instancer.instantiateVariableFont(font, axes)
    characters = fixed.getBestCmap()
    for character in "ŁŠőǻ" if name.endswith("ext") else "aegBRS&8.é":
        if ord(character) not in characters:
            continue
        glyph = characters[ord(character)]
        points = fixed["glyf"][glyph].getCoordinates(fixed["glyf"])[0]
        print(
            name,
            ",".join("%s=%g" % one for one in place.items()),
            "U+%04X" % ord(character),
            fixed["hmtx"][glyph][0],
            " ".join("%d,%d" % point for point in points),
            sep=";",
        )
