"""Likeness of papers and what is learned from decisions, by scikit-learn, for the specs of Sift.

Run it once on a machine that has it (Debian: apt-get install python3-sklearn; made with 1.2.1):
    bundle exec ruby spec/outside/scikit_learn_input.rb | /usr/bin/python3 spec/outside/scikit_learn.py \
      > spec/fixtures/scikit_learn/sift.json
The tests read the file and need no Python.
"""
import json, sys
import numpy, sklearn
from sklearn.feature_extraction.text import TfidfVectorizer
from sklearn.linear_model import LogisticRegression

data = json.load(sys.stdin)
vectors = TfidfVectorizer(analyzer=str.split, sublinear_tf=True, smooth_idf=True, norm="l2").fit_transform(data["texts"])
cosines = [[one, two, float((vectors[one] @ vectors[two].T)[0, 0])] for one, two in data["pairs"]]

names = sorted({name for traits, _ in data["examples"] for name in traits})
place = {name: number for number, name in enumerate(names)}
rows = numpy.zeros((len(data["examples"]), len(names)))
for number, (traits, _) in enumerate(data["examples"]):
    for name, weight in traits.items():
        rows[number, place[name]] = weight
kept = [1 if keep else 0 for _, keep in data["examples"]]
model = LogisticRegression(C=1 / data["penalty"], tol=1e-10, max_iter=10000).fit(rows, kept)
weights = dict(zip(names, map(float, model.coef_[0])))
chances = [float(chance) for chance in model.predict_proba(rows)[:, 1]]

json.dump({"scikit_learn": sklearn.__version__, "cosines": cosines, "bias": float(model.intercept_[0]),
           "weights": weights, "chances": chances}, sys.stdout)
