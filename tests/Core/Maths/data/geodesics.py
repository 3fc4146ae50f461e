#!/usr/bin/env python3
"""Writes geodesics.json: WGS 84 distances by GeographicLib (Debian: python3-geographiclib), for GeodesicTest."""
import json
import os
import random

from geographiclib.geodesic import Geodesic

random.seed(20261125)
pairs = [
    ("one metre north", 52.0, 5.0, 52.000009, 5.0),
    ("a GPS step in town", 52.370216, 4.895168, 52.370301, 4.895412),
    ("on the equator", 0.0, 10.0, 0.0, 10.009),
    ("along a meridian", 45.0, 7.0, 45.5, 7.0),
    ("across the date line", -17.0, 179.9995, -17.0002, -179.9995),
    ("by the pole", 89.99, 0.0, 89.99, 120.0),
    ("over the pole", 89.9, 0.0, 89.9, 180.0),
    ("a continent", 52.37, 4.9, 41.39, 2.16),
    ("around the globe", -41.3, 174.8, 40.4, -3.7),
    ("nearly antipodal", 0.0, 0.0, 0.5, 179.7),
    ("antipodal on the equator", 0.0, 0.0, 0.0, 180.0),
    ("the same point", 50.0, 8.0, 50.0, 8.0),
    ("pole to pole", -90.0, 0.0, 90.0, 0.0),
]
for lat in (0, 30, 60, 75, 79.9, 82, 88):
    for reach in (1e-5, 1e-3, 9e-3, 0.02):
        pairs.append((f"step of {reach} degrees at {lat} north", lat, 20.0, lat + reach * random.uniform(-1, 1), 20.0 + reach * random.uniform(-1, 1)))
for i in range(30):
    pairs.append((f"random pair {i}", random.uniform(-89, 89), random.uniform(-180, 180), random.uniform(-89, 89), random.uniform(-180, 180)))

figures = {name: [a, b, c, d, Geodesic.WGS84.Inverse(a, b, c, d)["s12"]] for name, a, b, c, d in pairs}
with open(os.path.join(os.path.dirname(os.path.abspath(__file__)), "geodesics.json"), "w") as out:
    json.dump(figures, out, indent=1)
    out.write("\n")
