"""Reference values for two and paired proportions, to 30 digits, from the definitions.

60-digit arithmetic (mpmath 1.2 or newer). Restricted estimates come from bisection of the slope of
the log likelihood, limits from bisection of the statistic or the tail; no closed form of the Java
code is used where there is another way. Nothing is shared with the Java code.

    python3 comparisons.py tests > comparison-tests.csv
    python3 comparisons.py limits > comparison-limits.csv
    python3 comparisons.py paired > paired.csv
"""

import sys
from fractions import Fraction

from mpmath import erfc, erfinv, exp, inf, log, log10, loggamma, mp, mpf, nstr, sqrt

mp.dps = 60
TIE = 1 + mpf(10) ** -7
DONE = mpf(10) ** -45


def normal_upper(z):
    return erfc(z / sqrt(2)) / 2


def deviate(tail):
    return sqrt(2) * erfinv(1 - 2 * tail)


def normal_p(z, alternative):
    return {
        "two-sided": 2 * normal_upper(abs(z)),
        "less": normal_upper(-z),
        "greater": normal_upper(z),
    }[alternative]


def falling_root(f, low, high):
    """Where a falling function passes zero, by bisection to 10^-45 of the width."""
    for _ in range(160):
        middle = (low + high) / 2
        if f(middle) > 0:
            low = middle
        else:
            high = middle
    return (low + high) / 2


def restricted(x1, n1, x2, n2, delta):
    """The likeliest p1 = p2 + delta and p2."""

    def slope(p):
        total = mpf(0)
        for count, share, sign in (
            (x1, p + delta, 1),
            (n1 - x1, 1 - p - delta, -1),
            (x2, p, 1),
            (n2 - x2, 1 - p, -1),
        ):
            if count:
                total += sign * count / share
        return total

    p = falling_root(slope, max(mpf(0), -delta), min(mpf(1), 1 - delta))
    return p + delta, p


def difference_statistic(x1, n1, x2, n2, delta):
    p1, p2 = restricted(x1, n1, x2, n2, delta)
    variance = p1 * (1 - p1) / n1 + p2 * (1 - p2) / n2
    return (mpf(x1) / n1 - mpf(x2) / n2 - delta) / sqrt(variance)


def ratio_statistic(x1, n1, x2, n2, ratio):
    def slope(p2):
        p1 = ratio * p2
        total = (mpf(x1) + x2) / p2
        if n1 - x1:
            total -= ratio * (n1 - x1) / (1 - p1)
        if n2 - x2:
            total -= (n2 - x2) / (1 - p2)
        return total

    p2 = falling_root(slope, mpf(10) ** -50, min(mpf(1), 1 / ratio))
    p1 = ratio * p2
    variance = p1 * (1 - p1) / n1 + ratio ** 2 * p2 * (1 - p2) / n2
    return (mpf(x1) / n1 - ratio * mpf(x2) / n2) / sqrt(variance)


def odds_statistic(x1, n1, x2, n2, odds):
    s = x1 + x2
    low, high = mpf(max(0, s - n2)), mpf(min(n1, s))
    a = falling_root(
        lambda a: odds * (n1 - a) * (s - a) - a * (n2 - s + a), low, high
    )
    return (x1 - a) * sqrt(1 / a + 1 / (n1 - a) + 1 / (s - a) + 1 / (n2 - s + a))


def weights(x1, n1, x2, n2, odds):
    """Counts and weights of the noncentral hypergeometric distribution, relative to one near the mode."""
    s = x1 + x2
    least, greatest = max(0, s - n2), min(n1, s)

    def ratio(x):
        return odds * mpf(n1 - x) * (s - x) / (mpf(x + 1) * (n2 - s + x + 1))

    low, high = least, greatest
    while low < high:
        middle = (low + high) // 2
        if ratio(middle) < 1:
            high = middle
        else:
            low = middle + 1
    start = low
    found = {start: mpf(1)}
    x = start
    while x != x1:
        up = x < x1
        found[x + 1 if up else x - 1] = found[x] * ratio(x) if up else found[x] / ratio(x - 1)
        x += 1 if up else -1
    # To both sides until nothing is left that matters, not even beside the observed count.
    enough = found[x1] * DONE
    x = max(found)
    while x < greatest and found[x] > enough:
        found[x + 1] = found[x] * ratio(x)
        x += 1
    x = min(found)
    while x > least and found[x] > enough:
        found[x - 1] = found[x] / ratio(x - 1)
        x -= 1
    return found


def tails(found, x):
    total = sum(found.values())
    below = sum(w for k, w in found.items() if k < x) / total
    above = sum(w for k, w in found.items() if k > x) / total
    return below, found[x] / total, above


def fisher(x1, n1, x2, n2, alternative):
    found = weights(x1, n1, x2, n2, mpf(1))
    below, at, above = tails(found, x1)
    lower, upper = below + at, above + at
    mid_lower, mid_upper = below + at / 2, above + at / 2
    total = sum(found.values())
    two = sum(w for w in found.values() if w <= found[x1] * TIE) / total
    if alternative == "less":
        return lower, lower, mid_lower
    if alternative == "greater":
        return upper, upper, mid_upper
    return two, min(mpf(1), 2 * min(lower, upper)), min(mpf(1), 2 * min(mid_lower, mid_upper))


def wilson(x, n, z):
    p = mpf(x) / n
    centre = (p + z * z / (2 * n)) / (1 + z * z / n)
    half = z * sqrt(p * (1 - p) / n + z * z / (4 * mpf(n) ** 2)) / (1 + z * z / n)
    return centre - half, centre + half


def wilson_cc(x, n, z):
    lower = mpf(0) if x == 0 else wilson(x - mpf(1) / 2, n, z)[0]
    upper = mpf(1) if x == n else wilson(x + mpf(1) / 2, n, z)[1]
    return lower, upper


def hybrid(x1, n1, x2, n2, first, second):
    p1, p2 = mpf(x1) / n1, mpf(x2) / n2
    return (
        max(mpf(-1), p1 - p2 - sqrt((p1 - first[0]) ** 2 + (second[1] - p2) ** 2)),
        min(mpf(1), p1 - p2 + sqrt((first[1] - p1) ** 2 + (p2 - second[0]) ** 2)),
    )


def clip(lower, upper):
    return max(mpf(-1), lower), min(mpf(1), upper)


def by_log(statistic, z, low_open, high_open):
    lower = mpf(0) if low_open else exp(falling_root(lambda u: statistic(exp(u)) - z, mpf(-60), mpf(60)))
    upper = inf if high_open else exp(falling_root(lambda u: statistic(exp(u)) + z, mpf(-60), mpf(60)))
    return lower, upper


def limits(x1, n1, x2, n2, level):
    tail = (1 - level) / 2
    z = deviate(tail)
    p1, p2 = mpf(x1) / n1, mpf(x2) / n2
    d = p1 - p2
    se = sqrt(p1 * (1 - p1) / n1 + p2 * (1 - p2) / n2)
    cc = mpf(1) / (2 * n1) + mpf(1) / (2 * n2)
    yield "difference", "wald", clip(d - z * se, d + z * se)
    yield "difference", "wald-cc", clip(d - z * se - cc, d + z * se + cc)
    q1, q2 = mpf(x1 + 1) / (n1 + 2), mpf(x2 + 1) / (n2 + 2)
    ac = z * sqrt(q1 * (1 - q1) / (n1 + 2) + q2 * (1 - q2) / (n2 + 2))
    yield "difference", "agresti-caffo", clip(q1 - q2 - ac, q1 - q2 + ac)
    yield "difference", "newcombe", hybrid(x1, n1, x2, n2, wilson(x1, n1, z), wilson(x2, n2, z))
    yield "difference", "newcombe-cc", hybrid(
        x1, n1, x2, n2, wilson_cc(x1, n1, z), wilson_cc(x2, n2, z)
    )
    larger = sqrt(mpf(n1 + n2) / (n1 + n2 - 1))
    for name, scaled in (("mee", z), ("miettinen-nurminen", z * larger)):
        end = 1 - mpf(10) ** -30
        lower = (
            mpf(-1)
            if d == -1
            else falling_root(lambda t: difference_statistic(x1, n1, x2, n2, t) - scaled, -end, end)
        )
        upper = (
            mpf(1)
            if d == 1
            else falling_root(lambda t: difference_statistic(x1, n1, x2, n2, t) + scaled, -end, end)
        )
        yield "difference", name, (lower, upper)
    if x1 and x2:
        error = z * sqrt(mpf(1) / x1 - mpf(1) / n1 + mpf(1) / x2 - mpf(1) / n2)
        yield "ratio", "log", (p1 / p2 * exp(-error), p1 / p2 * exp(error))
    else:
        yield "ratio", "log", (mpf(0), inf)
    for name, scaled in (("koopman", z), ("miettinen-nurminen", z * larger)):
        yield "ratio", name, by_log(
            lambda r: ratio_statistic(x1, n1, x2, n2, r), scaled, x1 == 0, x2 == 0
        )
    cells = (x1, n1 - x1, x2, n2 - x2)
    s = x1 + x2
    least, greatest = max(0, s - n2), min(n1, s)
    low_open, high_open = x1 == least, x1 == greatest
    if min(cells):
        odds = mpf(x1) * (n2 - x2) / (mpf(n1 - x1) * x2)
        error = z * sqrt(sum(mpf(1) / cell for cell in cells))
        yield "odds-ratio", "woolf", (odds * exp(-error), odds * exp(error))
    else:
        yield "odds-ratio", "woolf", (mpf(0), inf)
    a, b, c, e = (cell + mpf(1) / 2 for cell in cells)
    error = z * sqrt(1 / a + 1 / b + 1 / c + 1 / e)
    yield "odds-ratio", "gart", (a * e / (b * c) * exp(-error), a * e / (b * c) * exp(error))
    if least == greatest:
        for name in ("score", "conditional-exact", "conditional-mid-p"):
            yield "odds-ratio", name, (mpf(0), inf)
        return
    yield "odds-ratio", "score", by_log(
        lambda r: odds_statistic(x1, n1, x2, n2, r), z, low_open, high_open
    )
    for name, share in (("conditional-exact", mpf(1)), ("conditional-mid-p", mpf(1) / 2)):

        def upper_tail(u):
            below, at, above = tails(weights(x1, n1, x2, n2, exp(u)), x1)
            return above + share * at

        def lower_tail(u):
            below, at, above = tails(weights(x1, n1, x2, n2, exp(u)), x1)
            return below + share * at

        lower = mpf(0) if low_open else exp(falling_root(lambda u: tail - upper_tail(u), mpf(-40), mpf(40)))
        upper = inf if high_open else exp(falling_root(lambda u: lower_tail(u) - tail, mpf(-40), mpf(40)))
        yield "odds-ratio", name, (lower, upper)

    def mean(u):
        found = weights(x1, n1, x2, n2, exp(u))
        return sum(k * w for k, w in found.items()) / sum(found.values())

    if not low_open and not high_open:
        estimate = exp(falling_root(lambda u: x1 - mean(u), mpf(-40), mpf(40)))
        yield "conditional-odds-ratio", "estimate", (estimate, estimate)


TESTS = [
    (14, 400, 31, 410),
    (16, 403, 53, 408),
    (3, 12, 9, 11),
    (0, 9, 4, 8),
    (7, 7, 2, 9),
    (5000, 10000, 5100, 10000),
    (499, 1000, 4989, 10000),
    (120000, 1000000, 121000, 1000000),
    (1, 1000000, 20, 1000000),
    (400, 1000, 100, 1000),
    (900, 1000, 100, 1000),
    (77, 4000, 600, 3500),
]

LIMITS = [
    (14, 400, 31, 410),
    (3, 12, 9, 11),
    (0, 9, 4, 8),
    (7, 7, 2, 9),
    (0, 10, 0, 20),
    (5, 5, 8, 8),
    (0, 6, 7, 7),
    (56, 70, 48, 80),
    (1200, 10000, 1150, 9000),
]


def written(value):
    if abs(value) < mpf(10) ** -40:
        return "0"
    return "inf" if value == inf else nstr(value, 30)


def tests():
    print("# x1,n1,x2,n2,against,alternative,method,statistic,log10 p; made by comparisons.py")
    for x1, n1, x2, n2 in TESTS:
        p1, p2 = mpf(x1) / n1, mpf(x2) / n2
        d = p1 - p2
        pooled = mpf(x1 + x2) / (n1 + n2)
        se = sqrt(pooled * (1 - pooled) * (mpf(1) / n1 + mpf(1) / n2))
        own = sqrt(p1 * (1 - p1) / n1 + p2 * (1 - p2) / n2)
        cc = mpf(1) / (2 * n1) + mpf(1) / (2 * n2)
        g2 = 2 * sum(
            o * log(o / (n * q))
            for o, n, q in (
                (mpf(x1), n1, pooled),
                (mpf(n1 - x1), n1, 1 - pooled),
                (mpf(x2), n2, pooled),
                (mpf(n2 - x2), n2, 1 - pooled),
            )
            if o
        )
        for alternative in ("two-sided", "less", "greater"):
            moved = {
                "two-sided": max(mpf(0), abs(d) - cc) * (1 if d > 0 else -1),
                "less": d + cc,
                "greater": d - cc,
            }[alternative]
            signed = sqrt(g2) * (1 if d > 0 else -1)
            exact = fisher(x1, n1, x2, n2, alternative)
            rows = [
                ("0", "z-pooled", d / se, normal_p(d / se, alternative)),
                ("0", "z-pooled-cc", moved / se, normal_p(moved / se, alternative)),
                ("0", "z-separate", d / own, normal_p(d / own, alternative)),
                ("0", "score", d / se, normal_p(d / se, alternative)),
                (
                    "0",
                    "likelihood-ratio",
                    g2 if alternative == "two-sided" else signed,
                    normal_p(signed, alternative),
                ),
                ("0", "fisher", mpf(x1), exact[0]),
                ("0", "fisher-doubled", mpf(x1), exact[1]),
                ("0", "fisher-mid-p", mpf(x1), exact[2]),
            ]
            for against in ("0.02", "-0.1", "0.3"):
                fraction = Fraction(against)
                delta = mpf(fraction.numerator) / fraction.denominator
                z = difference_statistic(x1, n1, x2, n2, delta)
                rows.append((against, "score", z, normal_p(z, alternative)))
                z = (d - delta) / own
                rows.append((against, "z-separate", z, normal_p(z, alternative)))
            for against, method, statistic, p in rows:
                print(
                    f"{x1},{n1},{x2},{n2},{against},{alternative},{method},"
                    f"{written(statistic)},{written(log10(p))}"
                )


def all_limits():
    print("# x1,n1,x2,n2,level,quantity,method,lower,upper; made by comparisons.py")
    for case in LIMITS:
        for level in ("0.95", "0.99"):
            for quantity, method, (lower, upper) in limits(*case, mpf(level)):
                if method == "estimate" and level != "0.95":
                    continue
                print(
                    ",".join(str(each) for each in case)
                    + f",{level},{quantity},{method},{written(lower)},{written(upper)}"
                )


def tango_statistic(a, b, c, e, delta):
    n = a + b + c + e

    def slope(q):
        total = mpf(0)
        for count, share, sign in ((b, q + delta, 1), (c, q, 1), (a + e, 1 - 2 * q - delta, -2)):
            if count:
                total += sign * count / share
        return total

    q = falling_root(slope, max(mpf(0), -delta), (1 - delta) / 2)
    variance = (2 * q + delta - delta ** 2) / n
    return (mpf(b - c) / n - delta) / sqrt(variance)


def paired():
    print("# both,first only,second only,neither,method,lower,upper; level 0.95; made by comparisons.py")
    z = deviate(mpf("0.025"))
    for a, b, c, e in (
        (14, 1, 2, 211), (36, 12, 2, 50), (0, 3, 9, 1), (5, 0, 0, 9), (2, 7, 0, 3), (0, 8, 0, 0), (900, 40, 61, 2000),
    ):
        n = a + b + c + e
        d = mpf(b - c) / n
        se = sqrt(b + c - mpf(b - c) ** 2 / n) / n
        print(f"{a},{b},{c},{e},wald," + ",".join(map(written, clip(d - z * se, d + z * se))))
        q1, q2 = mpf(b + 1) / (n + 2), mpf(c + 1) / (n + 2)
        se = sqrt((q1 + q2 - (q1 - q2) ** 2) / (n + 2))
        print(f"{a},{b},{c},{e},bonett-price," + ",".join(map(written, clip(q1 - q2 - z * se, q1 - q2 + z * se))))
        l1, u1 = wilson(a + b, n, z)
        l2, u2 = wilson(a + c, n, z)
        p1, p2 = mpf(a + b) / n, mpf(a + c) / n
        margins = mpf(a + b) * (c + e) * (a + c) * (b + e)
        cross = mpf(a) * e - mpf(b) * c
        phi = mpf(0)
        if margins:
            phi = (max(mpf(0), cross - mpf(n) / 2) if cross > 0 else cross) / sqrt(margins)
        low = d - sqrt((p1 - l1) ** 2 - 2 * phi * (p1 - l1) * (u2 - p2) + (u2 - p2) ** 2)
        high = d + sqrt((u1 - p1) ** 2 - 2 * phi * (u1 - p1) * (p2 - l2) + (p2 - l2) ** 2)
        print(f"{a},{b},{c},{e},newcombe," + ",".join(map(written, clip(low, high))))
        end = 1 - mpf(10) ** -30
        low = mpf(-1) if d == -1 else falling_root(lambda t: tango_statistic(a, b, c, e, t) - z, -end, end)
        high = mpf(1) if d == 1 else falling_root(lambda t: tango_statistic(a, b, c, e, t) + z, -end, end)
        print(f"{a},{b},{c},{e},tango," + ",".join(map(written, (low, high))))


{"tests": tests, "limits": all_limits, "paired": paired}[sys.argv[1]]()
