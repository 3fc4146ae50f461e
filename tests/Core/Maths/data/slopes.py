# The first two derivatives of ln of what lies between two values of a normal distribution, as both move down together.
# Run with mpmath 1.3: python3 slopes.py
from mpmath import erfc, exp, log, mp, mpf, nstr, pi, sqrt

mp.dps = 80


def density(z):
    return exp(-z * z / 2) / sqrt(2 * pi)


def tail(z):
    """Below z < 0: erfc where it is to be had, else the density over the hazard by its continued fraction."""
    if z > -1000:
        return erfc(-z / sqrt(mpf(2))) / 2
    hazard = -z
    for k in range(400, 0, -1):
        hazard = -z + k / hazard
    return density(z) / hazard


for low, high in [(None, -3), (None, -9), (None, -11), (None, -60), (None, -50000), (None, -10000000), (-2, 1), (-31, -30), (-50002, -50000), (-11, -10.5)]:
    high = mpf(high)
    whole = tail(high) if high < 0 else 1 - tail(-high)
    lower = density(mpf(low)) if low is not None else mpf(0)
    whole -= tail(mpf(low)) if low is not None else 0
    slope = (lower - density(high)) / whole
    bend = ((mpf(low) * lower if low is not None else 0) - high * density(high)) / whole - slope**2
    print(f"    [{'-INF' if low is None else float(low)}, {float(high)}, {nstr(slope, 16)}, {nstr(bend, 16)}],")
