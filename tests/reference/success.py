# Prior of the share of prints that finish, learnt from spools' counts, for src/lib/core/posterior/success: the same grid, summed by scipy.
# Run once with scipy 1.10.1 (Debian 12): /usr/bin/python3 tests/reference/success.py
import numpy as np
from scipy.special import betaln

MEANS = [0.3, 0.4, 0.5, 0.6, 0.7, 0.75, 0.8, 0.85, 0.9, 0.925, 0.95, 0.97, 0.98, 0.99]
SIZES = [1, 2, 3, 4, 6, 8, 12, 16, 24, 32, 64]


def learnt(cells):
    m, s = (x.ravel() for x in np.meshgrid(MEANS, SIZES, indexing="ij"))
    a, b = m * s, (1 - m) * s
    chance = lambda x, y: betaln(a + x, b + y) - betaln(a, b)
    log = 4 * (0.9 * chance(1, 0) + 0.1 * chance(0, 1)) + sum(chance(x, y) for x, y in cells)
    w = np.exp(log - log.max())
    w /= w.sum()
    mean = (w * m).sum()
    variance = (w * (m * (1 - m) / (s + 1) + (m - mean) ** 2)).sum()
    prints = mean * (1 - mean) / variance - 1
    return round(mean * prints, 4), round((1 - mean) * prints, 4)


print(learnt([(1, 1)]), learnt([(2, 0)] * 6), learnt([(8, 2)] * 40))
