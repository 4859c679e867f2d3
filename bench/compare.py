"""The same ranking and the same information pass in NumPy and in the packed sieve, one after the other, one thread each; prints the ratios.
   bench/compare       (Debian python3-numpy and libopenblas0-pthread; columnar float32)
"""
import json, subprocess, sys, time
import numpy as np

TAXA, CHARACTERS, STATES, SLIP, RUNS = 60_000, 200, 6, 0.1, 31
rng = np.random.default_rng(1)

# Columns: one contiguous float32 array for each (character, state); the content does not matter to the speed.
shown = rng.random((CHARACTERS, STATES, TAXA), dtype=np.float32)
shown /= shown.sum(axis=1, keepdims=True)
read = shown * np.float32(1 - SLIP - SLIP / (STATES - 1)) + np.float32(SLIP / (STATES - 1))
logs = np.log(read)
entropy = -(read * np.log2(read)).sum(axis=1)
columns = read.reshape(CHARACTERS * STATES, TAXA)
del shown

def median(work):
    for _ in range(3): work()
    times = []
    for _ in range(RUNS):
        start = time.perf_counter(); work(); times.append(time.perf_counter() - start)
    return 1000 * sorted(times)[RUNS // 2]

def rank(states):
    total = logs[0, states[0]] + logs[1, states[1]] + logs[2, states[2]]
    total -= total.max()
    np.exp(total, out=total)
    total /= total.sum()
    return total

def bits(weights):
    marginal = (columns @ weights).reshape(CHARACTERS, STATES)
    return -(marginal * np.log2(marginal)).sum(axis=1) - entropy @ weights

flat = np.full(TAXA, np.float32(1 / TAXA))
three = rank([0, 1, 2])
uneven = rng.random(TAXA, dtype=np.float32)
uneven /= uneven.sum()
numpy = {'rankThree': median(lambda: rank([0, 1, 2])), 'nextLookFlat': median(lambda: bits(flat)), 'nextLookThree': median(lambda: bits(three)), 'nextLookUneven': median(lambda: bits(uneven))}
del logs, read
ours = json.loads(subprocess.run(sys.argv[1:] + ['quick', str(TAXA)], check=True, capture_output=True, text=True).stdout)
print(f'{TAXA} taxa x {CHARACTERS} characters x {STATES} states, one thread, medians in ms')
print(f'{"":34}{"NumPy " + np.__version__:>14}{"packed sieve":>14}{"ratio":>8}')
for key, label in (('rankThree', 'ranking after three readings'), ('nextLookFlat', 'next look before any reading'), ('nextLookThree', 'next look after three readings'), ('nextLookUneven', 'next look, chances in no order')):
    print(f'{label:34}{numpy[key]:14.3f}{ours[key]:14.3f}{numpy[key] / ours[key]:8.1f}')
print(f'packed flora {ours["bytes"] / 1e6:.0f} MB, NumPy columns {columns.nbytes / 1e6 + entropy.nbytes / 1e6:.0f} MB; allocated by a ranking: {ours["allocatedPerRank"]} bytes')
