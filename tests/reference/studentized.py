"""Reference values for the studentised range, computed once. (R's qtukey is good to four digits only at few degrees of freedom.)

Run: /usr/bin/python3 tests/reference/studentized.py > tests/reference/studentized.json
Needs scipy 1.7 or newer; the version used stands in the output.
"""
import json

import scipy
from scipy.stats import studentized_range

values = [
    {"groups": k, "df": df, "q95": studentized_range.ppf(0.95, k, df), "pAt3": studentized_range.cdf(3, k, df)}
    for k in (2, 3, 9, 40)
    for df in (2, 4.3, 17.8, 120)
]
print(json.dumps({"scipy": scipy.__version__, "values": values}, indent="\t", default=float))
