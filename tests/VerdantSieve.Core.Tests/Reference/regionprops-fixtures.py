"""Measures of outlines by scikit-image, to hold ours against. Debian: python3-skimage 0.19.3.

    python3 regionprops-fixtures.py outlines.json > regionprops.json

outlines.json names outlines as drawn, each a list of places; they are filled on a raster of 1200 pixels to the unit and measured by
skimage.measure.regionprops. The perimeter is Crofton's, which follows slanting edges better than counting steps.
"""
import json
import sys

import numpy as np
from skimage.draw import polygon2mask
from skimage.measure import label, regionprops

SCALE = 1200
found = {}
for name, places in json.load(open(sys.argv[1])).items():
    points = np.array(places)
    low = points.min(axis=0) - 0.02
    # Rows run downward: y is turned over.
    pixels = (points - low) * SCALE
    height, width = int(np.ceil(pixels[:, 1].max())) + 30, int(np.ceil(pixels[:, 0].max())) + 30
    mask = polygon2mask((height, width), np.stack([height - pixels[:, 1], pixels[:, 0]], axis=1))
    region = max(regionprops(label(mask)), key=lambda one: one.area)
    row, column = region.centroid
    found[name] = {
        "outline": places,
        "area": region.area / SCALE**2,
        "perimeter": region.perimeter_crofton / SCALE,
        "major": region.major_axis_length / SCALE,
        "minor": region.minor_axis_length / SCALE,
        "x": column / SCALE + low[0],
        "y": (height - row) / SCALE + low[1],
    }
json.dump(found, sys.stdout, separators=(",", ":"))
