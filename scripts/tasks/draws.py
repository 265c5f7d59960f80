"""The pick's draws in plain numpy, one thread: what npm run bench sets Draught's own beside.

The same model: quantile tables of 257 nodes, a uniform number a draw, an error that all spools share in one criterion, straight values
clipped to 0 and 1, weighted sums, places counted, tiers by the chance to lie within three points of the best; and what is told of them:
the mean of every spool in every criterion, and the middle 95 % of its weighted sum.
Prints the seconds it took. Usage: draws.py SPOOLS CRITERIA DRAWS
"""
import os
import sys
import time

for name in ("OMP_NUM_THREADS", "OPENBLAS_NUM_THREADS", "MKL_NUM_THREADS"):
    os.environ[name] = "1"
import numpy as np

spools, criteria, draws = (int(a) for a in sys.argv[1:4])
AT_ONCE = 4000
rng = np.random.default_rng(1)
tables = np.sort(rng.normal(50, 10, (criteria, spools, 257)), axis=2)

start = time.perf_counter()
places = np.zeros((spools, spools))
worth = np.empty((spools, draws))
means = np.zeros((criteria, spools))
for first in range(0, draws, AT_ONCE):
    count = min(AT_ONCE, draws - first)
    score = np.zeros((spools, count))
    for k in range(criteria):
        shared = rng.standard_normal(count) if k == 0 else None
        for i in range(spools):
            scaled = rng.random(count) * 256
            cell = scaled.astype(np.int64)
            low = tables[k, i, cell]
            x = low + (tables[k, i, cell + 1] - low) * (scaled - cell)
            if shared is not None:
                x = x + 3 * shared
            value = np.clip(x / 100, 0, 1)
            means[k, i] += value.sum()
            score[i] += value / criteria
    worth[:, first : first + count] = score
    order = np.argsort(-score, axis=0)
    for place in range(spools):
        places[:, place] += np.bincount(order[place], minlength=spools)
rest = np.arange(spools)
while len(rest):
    best = worth[rest].max(axis=0)
    chance = (best - worth[rest] <= 0.03).mean(axis=1)
    rest = rest[chance < 0.1 / len(rest)]
ranges = np.percentile(worth, [2.5, 97.5], axis=1)
print(time.perf_counter() - start)
