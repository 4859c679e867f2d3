#!/usr/bin/env python3
"""Makes information-fixtures.json: entropies by SciPy (scipy.stats.entropy), mutual informations by scikit-learn
(sklearn.metrics.mutual_info_score on a contingency table). Debian packages python3-scipy and python3-sklearn."""
import json
import os
import numpy
import scipy
import sklearn
from scipy.stats import entropy
from sklearn.metrics import mutual_info_score

random = numpy.random.default_rng(20260614)
cases = {"scipy": scipy.__version__, "sklearn": sklearn.__version__, "entropy": [], "mutual": []}
for size in (2, 3, 5, 12, 40):
    weights = random.dirichlet(numpy.full(size, 0.7)).round(6)
    cases["entropy"].append({"weights": weights.tolist(), "bits": float(entropy(weights, base=2))})
cases["entropy"].append({"weights": [1.0, 0.0, 0.0], "bits": 0.0})
for rows, outcomes in ((2, 2), (4, 3), (9, 5), (30, 4)):
    prior = random.dirichlet(numpy.full(rows, 1.0))
    given = random.dirichlet(numpy.full(outcomes, 0.6), size=rows)
    # scikit-learn counts whole observations, so the joint chances become counts and the chances are taken back from them.
    counts = numpy.round(1e7 * prior[:, None] * given).astype(numpy.int64) + 1
    nats = mutual_info_score(None, None, contingency=counts)
    rows_of, total = counts.sum(axis=1), counts.sum()
    cases["mutual"].append({"rows": (rows_of / total).tolist(), "outcomes": (counts / rows_of[:, None]).T.tolist(), "bits": float(nats / numpy.log(2))})
with open(os.path.join(os.path.dirname(os.path.realpath(__file__)), "information-fixtures.json"), "w") as file:
    json.dump(cases, file, indent=1)
    file.write("\n")
