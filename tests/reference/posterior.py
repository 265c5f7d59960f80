# Posterior of a mean with normal scatter, both unknown, from intervals: on a grid of 12,000 means by 1,001 scatters, for src/lib/core/posterior.
# Run once with scipy 1.10.1 (Debian 12): python3 tests/reference/posterior.py > tests/reference/posterior.json
import json
import numpy as np
from scipy import integrate
from scipy.stats import norm, t

CASES = [
    {"name": "one ladder print", "observed": [[65, 70]], "scatter": {"sd": 3, "df": 4}, "mean": {"centre": 50, "spread": 15}},
    {"name": "two equal ladder prints", "observed": [[60, 65], [60, 65]], "scatter": {"sd": 3, "df": 4}, "mean": {"centre": 50, "spread": 15}},
    {"name": "held all there was", "observed": [[60, None]], "scatter": {"sd": 3, "df": 4}, "mean": {"centre": 50, "spread": 15}},
    {"name": "three loads in steps, one survived", "observed": [[4.488, 4.711], [4.711, 4.894], [4.894, None]], "scatter": {"sd": 0.15, "df": 6}, "mean": {"centre": 4.6, "spread": 0.5}},
    {"name": "five readings", "observed": [[1.745, 1.755], [1.755, 1.765], [1.735, 1.745], [1.755, 1.765], [1.745, 1.755]], "scatter": {"sd": 0.01, "df": 3}, "mean": {"centre": 1.75, "spread": 0.03}},
]


def quantiles(case):
    scatter, mean = case["scatter"], case["mean"]
    ends = [x for o in case["observed"] for x in o if x is not None]
    inner = np.linspace(min(ends) - 10 * scatter["sd"], max(ends) + 10 * scatter["sd"], 6001)
    outer = 60 * mean["spread"]
    means = np.unique(np.concatenate([np.linspace(mean["centre"] - outer, mean["centre"] + outer, 6001), inner]))
    log_sds = np.linspace(np.log(scatter["sd"]) - 4, np.log(scatter["sd"]) + 4, 1001)
    sd = np.exp(log_sds)[None, :]
    ratio = (scatter["sd"] / sd) ** 2
    log = scatter["df"] / 2 * (np.log(ratio) - ratio) + t.logpdf((means[:, None] - mean["centre"]) / mean["spread"], 4)
    for low, high in case["observed"]:
        below = norm.cdf((low - means[:, None]) / sd) if low is not None else 0.0
        above = norm.cdf((high - means[:, None]) / sd) if high is not None else 1.0
        log = log + np.log(np.maximum(above - below, 1e-300))
    marginal = integrate.trapezoid(np.exp(log - log.max()), log_sds, axis=1)
    mass = integrate.cumulative_trapezoid(marginal, means, initial=0)
    return [float(np.interp(p, mass / mass[-1], means)) for p in (0.025, 0.5, 0.975)]


print(json.dumps([{**case, "quantiles": [round(q, 5) for q in quantiles(case)]} for case in CASES], indent="\t"))
