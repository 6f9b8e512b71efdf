"""Reference values for tests and intervals of one proportion, to 30 digits.

Everything comes from the definitions, in 60-digit arithmetic (mpmath 1.2 or newer): the binomial
probability of one outcome from log-gamma, a tail as the sum of all probabilities in it, the null
value as the decimal that is written. Nothing is shared with the Java code.

    python3 references.py tests > proportion-tests.csv
    python3 references.py limits > proportion-limits.csv
    python3 references.py variants > proportion-variants.csv
    python3 references.py more-limits > proportion-more-limits.csv
    python3 references.py lots > lot-tests.csv
"""

import sys
from fractions import Fraction

from mpmath import erfc, erfinv, findroot, log, log10, loggamma, mp, mpf, nstr, quad, sqrt

mp.dps = 60
TIE = mpf(1) + mpf(10) ** -7
ENOUGH = mpf(10) ** -35


def decimal(text):
    fraction = Fraction(text)
    return mpf(fraction.numerator) / fraction.denominator


def mass(n, x, p):
    logarithm = loggamma(n + 1) - loggamma(x + 1) - loggamma(n - x + 1)
    return mp.exp(logarithm + x * log(p) + (n - x) * log(1 - p))


def lower(n, x, p):
    """P(X <= x): added up from x downwards until the rest is negligible."""
    if x < 0:
        return mpf(0)
    if x > n * p:
        return 1 - upper(n, x + 1, p)
    term = total = mass(n, x, p)
    odds = (1 - p) / p
    for k in range(x, 0, -1):
        term = term * k * odds / (n - k + 1)
        total += term
        if term < total * ENOUGH:
            break
    return total


def upper(n, x, p):
    if x <= 0:
        return mpf(1)
    return lower(n, n - x, 1 - p)


def two_sided(n, x, p):
    """All outcomes no more probable than x: their ends found by walking in from both sides."""
    limit = mass(n, x, p) * TIE
    mode = min(n, int(mp.floor((n + 1) * p)))
    if mass(n, mode, p) <= limit:
        return mpf(1)
    low, high = -1, mode
    while high - low > 1:
        middle = (low + high) // 2
        low, high = (middle, high) if mass(n, middle, p) <= limit else (low, middle)
    below = low
    low, high = mode, n + 1
    while high - low > 1:
        middle = (low + high) // 2
        low, high = (low, middle) if mass(n, middle, p) <= limit else (middle, high)
    return lower(n, below, p) + upper(n, high, p)


def normal_upper(z):
    return erfc(z / sqrt(mpf(2))) / 2


def tests():
    print("# Made by references.py beside this file.")
    print("# n,against,x,z,log10 score less,greater,two-sided,log10 exact less,greater,two-sided")
    for n in (1, 7, 400, 10**4, 10**6, 10**9):
        for against in ("0.001", "0.05", "0.3", "0.5", "0.999"):
            p = decimal(against)
            deviation = sqrt(n * p * (1 - p))
            counts = {0, 1, n - 1, n, int(n * p), int(n * p) + 1}
            for away in (-36, -20, -8, -3, -1, 1, 3, 8, 20, 36):
                counts.add(int(n * p + away * deviation))
            for x in sorted(c for c in counts if 0 <= c <= n):
                z = (x - n * p) / deviation
                values = [
                    normal_upper(-z),
                    normal_upper(z),
                    2 * normal_upper(abs(z)),
                    lower(n, x, p),
                    upper(n, x, p),
                    two_sided(n, x, p),
                ]
                print(n, against, x, nstr(z, 20), *(nstr(log10(v), 25) for v in values), sep=",")


def limits():
    print("# Made by references.py beside this file.")
    print("# n,x,level,wilson lower,upper,clopper-pearson lower,upper")
    for n in (1, 2, 30, 400, 10**4, 10**6, 10**9):
        for x in sorted({0, 1, n // 50, n // 3, n // 2, n - 1, n}):
            for level in ("0.9", "0.95", "0.99", "0.999999"):
                tail = (1 - decimal(level)) / 2
                z = sqrt(mpf(2)) * erfinv(1 - 2 * tail)
                root = z * sqrt(z * z + 4 * mpf(x) * (n - x) / n)
                ends = [(2 * x + z * z + s * root) / (2 * (n + z * z)) for s in (-1, 1)]
                exact = [mpf(0), mpf(1)]
                if x > 0:
                    exact[0] = solve(lambda p: log(upper(n, x, p) / tail), ends[0], ends[1])
                if x < n:
                    exact[1] = solve(lambda p: log(lower(n, x, p) / tail), ends[1], ends[0])
                print(n, x, level, *(nstr(v, 25) for v in ends + exact), sep=",")


def deviance(n, x, p):
    """G squared: twice the logarithm of the likelihood ratio."""
    successes = x * log(x / (n * p)) if x else mpf(0)
    failures = (n - x) * log((n - x) / (n * (1 - p))) if x < n else mpf(0)
    return 2 * (successes + failures)


def variants():
    """Directional p-values less and greater and two-sided ones, by the definition of each test."""
    print("# Made by references.py beside this file.")
    print("# method,n,against,x,log10 less,greater,two-sided")
    for n in (1, 7, 400, 10**6):
        for against in ("0.001", "0.3", "0.999"):
            p = decimal(against)
            sd = sqrt(n * p * (1 - p))
            counts = {0, 1, n - 1, n, int(n * p), int(n * p) + 1}
            for away in (-20, -3, -1, 1, 3, 20):
                counts.add(int(n * p + away * sd))
            for x in sorted(c for c in counts if 0 <= c <= n):
                away = x - n * p
                sign = 1 if away >= 0 else -1
                near = max(mpf(0), abs(away) - mpf(1) / 2)
                z = ((away + mpf(1) / 2) / sd, (away - mpf(1) / 2) / sd, near / sd)
                rows = {"score-cc": z}
                if 0 < x < n:
                    wald = away / sqrt(x * mpf(n - x) / n)
                    rows["wald"] = (wald, wald, abs(wald))
                root = sign * sqrt(deviance(n, x, p))
                rows["likelihood-ratio"] = (root, root, abs(root))
                values = {
                    name: (normal_upper(-z[0]), normal_upper(z[1]), 2 * normal_upper(z[2]))
                    for name, z in rows.items()
                }
                below, above = lower(n, x, p), upper(n, x, p)
                values["exact-doubled"] = (below, above, min(mpf(1), 2 * min(below, above)))
                half = mass(n, x, p) / 2
                values["mid-p"] = (below - half, above - half)
                values["mid-p"] += (min(mpf(1), 2 * min(values["mid-p"])),)
                for name, each in values.items():
                    print(name, n, against, x, *(nstr(log10(v), 25) for v in each), sep=",")


def more_limits():
    print("# Made by references.py beside this file.")
    print("# method,n,x,level,lower,upper")
    for n in (2, 30, 400, 10**4, 10**6, 10**9):
        for x in sorted({1, n // 50, n // 3, n // 2, n - 1} - {0}):
            for level in ("0.9", "0.95", "0.999999"):
                tail = (1 - decimal(level)) / 2
                z = sqrt(mpf(2)) * erfinv(1 - 2 * tail)
                print_limits("wald", n, x, level, around(x, n, z, 0))
                print_limits("wald-cc", n, x, level, around(x, n, z, mpf(1) / (2 * n)))
                print_limits("agresti-coull", n, x, level, around(x + z * z / 2, n + z * z, z, 0))
                print_limits("wilson-cc", n, x, level, newcombe(x, n, z))
                roots = plain_wilson(x, n, z)
                print_limits("likelihood", n, x, level, [
                    solve(lambda p: log(deviance(n, x, p) / (z * z)), end, end) for end in roots])
                print_limits("mid-p", n, x, level, [
                    solve(lambda p: log((upper(n, x, p) - mass(n, x, p) / 2) / tail), roots[0], 0),
                    solve(lambda p: log((lower(n, x, p) - mass(n, x, p) / 2) / tail), roots[1], 0)])
                print_limits("jeffreys", n, x, level, [
                    solve(lambda p: log(beta_lower(n, x, p) / tail), roots[0], 0),
                    solve(lambda p: log(beta_lower(n, n - x, 1 - p) / tail), roots[1], 0)])


def print_limits(method, n, x, level, ends):
    ends = [min(max(end, mpf(0)), mpf(1)) for end in ends]
    print(method, n, x, level, *(nstr(end, 25) for end in ends), sep=",")


def around(x, n, z, correction):
    p = mpf(x) / n
    half = z * sqrt(p * (1 - p) / n) + correction
    return [p - half, p + half]


def plain_wilson(x, n, z):
    root = z * sqrt(z * z + 4 * mpf(x) * (n - x) / n)
    return [(2 * x + z * z + s * root) / (2 * (n + z * z)) for s in (-1, 1)]


def newcombe(x, n, z):
    """Method 4 as printed: the corrected form with p and q."""
    p = mpf(x) / n
    q = 1 - p
    low = 2 * n * p + z * z - 1 - z * sqrt(z * z - 2 - mpf(1) / n + 4 * p * (n * q + 1))
    high = 2 * n * p + z * z + 1 + z * sqrt(z * z + 2 - mpf(1) / n + 4 * p * (n * q - 1))
    return [low / (2 * (n + z * z)), high / (2 * (n + z * z))]


def beta_lower(n, x, p):
    """The lower tail of Beta(x + 1/2, n - x + 1/2) at p, integrated outwards over the log odds."""
    a, b = x + mpf(1) / 2, n - x + mpf(1) / 2
    logarithm = loggamma(a + b) - loggamma(a) - loggamma(b)
    odds = log(p / (1 - p))
    width = sqrt(1 / a + 1 / b)

    def density(u):
        return mp.exp(logarithm - a * log(1 + mp.exp(-u)) - b * log(1 + mp.exp(u)))

    with mp.workdps(35):
        steps = [odds - width * k for k in (0, 1, 2, 4, 8, 16, 32, 64, 128)]
        return -quad(density, steps)


def lots():
    """The hypergeometric test: lot, marked units under the null, sample, successes."""
    print("# Made by references.py beside this file.")
    print("# lot,marked,sample,x,log10 less,greater,two-sided")
    for lot, marked, sample in (
        (500, 25, 60), (10**4, 300, 2000), (10**6, 50000, 10**4), (10**9, 10**6, 10**6),
        (10**9, 5 * 10**8, 10**5),
    ):
        mean = mpf(sample) * marked / lot
        sd = sqrt(mean * (1 - mpf(marked) / lot) * (lot - sample) / (lot - 1))
        least, most = max(0, sample + marked - lot), min(sample, marked)
        counts = {least, most if most < 100 else least}
        for away in (-30, -8, -2, 0, 1, 3, 10, 34):
            counts.add(int(mean + away * sd))
        for x in sorted(c for c in counts if least <= c <= most):
            chance = [lot_mass(lot, marked, sample, x)]
            limit = chance[0] * TIE
            ends = [x, x]
            values = [
                lot_tail(lot, marked, sample, x, -1), lot_tail(lot, marked, sample, x, 1)]
            mode = (sample + 1) * (marked + 1) // (lot + 2)
            if lot_mass(lot, marked, sample, mode) <= limit:
                values.append(mpf(1))
            else:
                low, high = least - 1, mode
                while high - low > 1:
                    middle = (low + high) // 2
                    inside = lot_mass(lot, marked, sample, middle) <= limit
                    low, high = (middle, high) if inside else (low, middle)
                ends[0] = low
                low, high = mode, most + 1
                while high - low > 1:
                    middle = (low + high) // 2
                    inside = lot_mass(lot, marked, sample, middle) <= limit
                    low, high = (low, middle) if inside else (middle, high)
                ends[1] = high
                values.append(
                    lot_tail(lot, marked, sample, ends[0], -1)
                    + lot_tail(lot, marked, sample, ends[1], 1))
            print(lot, marked, sample, x, *(nstr(log10(v), 25) for v in values), sep=",")


def lot_mass(lot, marked, sample, x):
    if x < max(0, sample + marked - lot) or x > min(sample, marked):
        return mpf(0)

    def choose(n, k):
        return loggamma(n + 1) - loggamma(k + 1) - loggamma(n - k + 1)

    return mp.exp(
        choose(marked, x) + choose(lot - marked, sample - x) - choose(lot, sample))


def lot_tail(lot, marked, sample, x, step):
    """From x outwards; the far side of the mean as one minus the rest, in 60 digits."""
    mean = mpf(sample) * marked / lot
    if (x - mean) * step < 0:
        return 1 - lot_tail(lot, marked, sample, x - step, -step)
    term = total = lot_mass(lot, marked, sample, x)
    least, most = max(0, sample + marked - lot), min(sample, marked)
    while least <= x + step <= most and term > total * ENOUGH:
        if step > 0:
            term = term * (marked - x) * (sample - x)
            term = term / ((x + 1) * mpf(lot - marked - sample + x + 1))
        else:
            term = term * x * (lot - marked - sample + x)
            term = term / ((marked - x + 1) * mpf(sample - x + 1))
        x += step
        total += term
    return total


def solve(function, start, other):
    """The root near start, by the secant method on the log odds."""
    near = min(max(start, mpf(10) ** -40), 1 - mpf(10) ** -40)
    odds = log(near / (1 - near))
    width = mpf(1) / 100
    root = findroot(
        lambda u: function(1 / (1 + mp.exp(-u))), (odds, odds + width), solver="secant",
        tol=mpf(10) ** -50, maxsteps=100,
    )
    return 1 / (1 + mp.exp(-root))


if __name__ == "__main__":
    {"tests": tests, "limits": limits, "variants": variants, "more-limits": more_limits, "lots": lots}[sys.argv[1]]()
