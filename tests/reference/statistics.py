"""Reference values for the statistics of core, computed once.

Run: /usr/bin/python3 tests/reference/statistics.py > tests/reference/statistics.json
Needs Debian's python3-scipy; the versions used stand in the output.
"""
import itertools
import json
import platform

import numpy
import scipy
from scipy import special, stats


def wilson(x, n, level=0.95):
    r = stats.binomtest(x, n).proportion_ci(confidence_level=level, method="wilson")
    return {"x": x, "n": n, "low": r.low, "high": r.high}


def mean_interval(values):
    a = numpy.array(values)
    se = stats.sem(a)
    low, high = stats.t.interval(0.95, len(a) - 1, loc=a.mean(), scale=se)
    return {"values": values, "mean": a.mean(), "sd": a.std(ddof=1), "low": low, "high": high}


def welch(a, b):
    """The pair is parted at 95 % exactly when the two-sided Welch p value is under 0.05."""
    return {"a": a, "b": b, "p": stats.ttest_ind(a, b, equal_var=False).pvalue}


def sign_test(better, worse):
    return {"better": better, "worse": worse, "p": stats.binomtest(better, better + worse, 0.5).pvalue}


def spearman(worth, cost):
    r = stats.spearmanr(worth, cost).statistic
    orders = [stats.spearmanr(worth, order).statistic for order in itertools.permutations(cost)]
    return {"worth": worth, "cost": cost, "r": r, "p": numpy.mean(numpy.abs(orders) >= abs(r) - 1e-9)}


def fisher(first, second):
    return {"first": first, "second": second, "p": stats.fisher_exact([first, second])[1]}


out = {
    "versions": {"python": platform.python_version(), "scipy": scipy.__version__, "numpy": numpy.__version__},
    "wilson": [wilson(x, n) for x, n in [(0, 1), (1, 1), (9, 10), (3, 8), (10, 10), (0, 40), (57, 60)]],
    "tQuantiles": [{"p": p, "df": df, "t": stats.t.ppf(p, df)} for p in (0.975, 0.995) for df in (1, 2, 4, 9, 4.37, 69.4, 2000)],
    "betaQuantiles": [{"p": p, "a": a, "b": b, "x": stats.beta.ppf(p, a, b)} for p in (0.025, 0.5, 0.995) for a, b in [(0.5, 0.5), (0.5, 9.5), (2.5, 8.5)]],
    "meanIntervals": [mean_interval(v) for v in ([1.74, 1.75, 1.76], [1.75, 1.76, 1.74, 1.75, 1.77, 1.73, 1.75, 1.76, 1.74, 1.75])],
    "signTests": [sign_test(b, w) for b, w in [(1, 0), (5, 0), (6, 0), (7, 1), (4, 4), (12, 3)]],
    "digammas": [{"x": x, "y": special.digamma(x), "lnGamma": special.gammaln(x)} for x in (0.3, 1, 1.0721, 1.5, 5, 6, 42)],
    "spearman": [
        spearman([0.8, 0.7, 0.6, 0.9, 0.5, 0.7], [20, 18, 30, 40, 15, 22]),
        spearman([0.5, 0.6, 0.7, 0.8, 0.9, 0.95], [30, 28, 25, 20, 20, 18]),
        spearman([0.5, 0.9, 0.6, 0.8, 0.7], [10, 12, 11, 30, 9]),
    ],
    "fisher": [fisher(a, b) for a, b in [([3, 1], [1, 3]), ([2, 3], [5, 0]), ([0, 4], [6, 0]), ([8, 2], [1, 5]), ([4, 0], [3, 0])]],
    "welch": [
        welch([10.1, 9.8, 10.3, 10.0], [10.9, 11.4, 10.7, 11.9, 11.1]),
        welch([10.1, 9.8, 10.3, 10.0], [10.2, 10.6, 9.9, 10.8]),
    ],
}
print(json.dumps(out, indent=1, default=float))
