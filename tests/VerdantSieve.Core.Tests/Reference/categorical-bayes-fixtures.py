"""Writes categorical-bayes.json: class probabilities by scikit-learn's CategoricalNB on soybean.csv. The class has no notion of missing
values, so its fitted tables are summed over the characters that a plant has; plants without any missing value are predicted by
predict_proba itself, and the two ways must agree there.
   python3 categorical-bayes-fixtures.py > categorical-bayes.json      (Debian python3-sklearn)
"""
import csv, json, sys
import numpy as np
import sklearn
from sklearn.naive_bayes import CategoricalNB

rows = list(csv.DictReader(open('soybean.csv')))
characters = [name for name in rows[0] if name != 'Class']
states = {c: sorted({r[c] for r in rows if r[c] != ''}) for c in characters}
classes = sorted({r['Class'] for r in rows})

# One CategoricalNB a character, on the plants that have it: a missing value is simply left out.
log_prob = {}
for c in characters:
    have = [r for r in rows if r[c] != '']
    x = np.array([[states[c].index(r[c])] for r in have])
    y = np.array([classes.index(r['Class']) for r in have])
    model = CategoricalNB(alpha=1.0, fit_prior=False, min_categories=len(states[c])).fit(x, y)
    table = np.full((len(classes), len(states[c])), -np.log(len(states[c])))     # a class without any value: even
    table[model.classes_] = model.feature_log_prob_[0]
    log_prob[c] = table

def posterior(row):
    total = np.zeros(len(classes))
    for c in characters:
        if row[c] != '':
            total = total + log_prob[c][:, states[c].index(row[c])]
    total -= total.max()
    p = np.exp(total)
    return p / p.sum()

# The two ways agree on the complete plants, fitted on them alone.
complete = [r for r in rows if all(r[c] != '' for c in characters)]
x = np.array([[states[c].index(r[c]) for c in characters] for r in complete])
y = np.array([classes.index(r['Class']) for r in complete])
whole = CategoricalNB(alpha=1.0, fit_prior=False, min_categories=[len(states[c]) for c in characters]).fit(x, y)
for i, r in enumerate(complete[:50]):
    logs = sum(whole.feature_log_prob_[j][:, x[i, j]] for j in range(len(characters)))
    p = np.exp(logs - logs.max()); p /= p.sum()
    assert np.allclose(p, whole.predict_proba(x[i:i + 1])[0], atol=1e-12)

picked = rows[::9]
json.dump({'sklearn': sklearn.__version__, 'alpha': 1.0, 'classes': classes,
           'plants': [{'row': i * 9, 'posterior': [float(v) for v in posterior(r)]} for i, r in enumerate(picked)]}, sys.stdout)
