# What fontTools (https://fonttools.readthedocs.io, Debian's python3-fonttools) reads in the shipped fonts.
# Run in ui/static/fonts: /usr/bin/python3 reference.py > reference.json
import hashlib
import json
from fontTools import version
from fontTools.ttLib import TTFont
from fontTools.varLib import instancer

RUNNING = (
    "All human beings are born free and equal in dignity and rights. They are endowed with reason and conscience and"
    " should act towards one another in a spirit of brotherhood."
)


def width(font):
    cmap, hmtx = font.getBestCmap(), font["hmtx"]
    return sum(hmtx[cmap[ord(c)]][0] for c in RUNNING)


def outlines(font):
    """A digest of the points of all outlines that are no composites."""
    points = hashlib.sha256()
    glyf = font["glyf"]
    for at, name in enumerate(font.getGlyphOrder()):
        glyph = glyf[name]
        if glyph.numberOfContours > 0:
            for (x, y), on in zip(glyph.coordinates, glyph.flags):
                points.update(b"%d %d %d %d\n" % (at, x, y, on & 1))
            points.update(b"%r\n" % list(glyph.endPtsOfContours))
    return points.hexdigest()


def facts(file):
    font = TTFont(file)
    os2, hhea = font["OS/2"], font["hhea"]
    axes = [[a.axisTag, a.minValue, a.defaultValue, a.maxValue] for a in font["fvar"].axes] if "fvar" in font else []
    said = {
        "family": font["name"].getBestFamilyName(),
        "unitsPerEm": font["head"].unitsPerEm,
        "hhea": [hhea.ascent, hhea.descent, hhea.lineGap],
        "typo": [os2.sTypoAscender, os2.sTypoDescender, os2.sTypoLineGap],
        "useTypo": bool(os2.fsSelection & 128),
        "xHeight": os2.sxHeight,
        "capHeight": os2.sCapHeight,
        "weight": os2.usWeightClass,
        "fsType": os2.fsType,
        "italic": bool(os2.fsSelection & 1),
        "axes": axes,
        "features": sorted({r.FeatureTag for r in font["GSUB"].table.FeatureList.FeatureRecord}) if "GSUB" in font else [],
        "characters": sorted(font.getBestCmap()),
        "glyphs": len(font.getGlyphOrder()),
    }
    if "-ext" not in file:
        said["outlines"] = outlines(font)
        said["widths"] = {"default": width(font)}
        for axis in axes:
            if axis[0] == "wght":
                for weight in (axis[1], 700, axis[3]):
                    if axis[1] <= weight <= axis[3]:
                        said["widths"][str(int(weight))] = width(
                            instancer.instantiateVariableFont(TTFont(file), {"wght": weight})
                        )
    return said


catalog = json.load(open("catalog.json"))
print('{"fontTools": "%s", "fonts": {' % version)
files = [one["file"] for family in catalog for one in family["files"]]
print(",\n".join('"%s": %s' % (f, json.dumps(facts(f), separators=(",", ":"))) for f in files))
print("}}")
