/** ln Γ(x) for x > 0, by the series of Lanczos; good to about 1e-13. */
function logGamma(x: number): number {
  const terms = [
    676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
    -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const z = x - 1;
  const t = z + 7.5;
  const sum = terms.reduce((all, term, i) => all + term / (z + i + 1), 0.99999999999980993);
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

const MOST_STEPS = 300;
const CLOSE_ENOUGH = 1e-12;
const TINY = 1e-300;

/** The continued fraction of the incomplete beta function, by Lentz's method. */
function fraction(x: number, a: number, b: number): number {
  const notZero = (value: number) => (Math.abs(value) < TINY ? TINY : value);
  let c = 1;
  let d = 1 / notZero(1 - ((a + b) * x) / (a + 1));
  let result = d;
  for (let m = 1; m <= MOST_STEPS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / notZero(1 + even * d);
    c = notZero(1 + even / c);
    result *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / notZero(1 + odd * d);
    c = notZero(1 + odd / c);
    const step = d * c;
    result *= step;
    if (Math.abs(step - 1) < CLOSE_ENOUGH) break;
  }
  return result;
}

/** The regularised incomplete beta function I_x(a, b), for 0 ≤ x ≤ 1 and a, b > 0. */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2) ? (front * fraction(x, a, b)) / a : 1 - (front * fraction(1 - x, b, a)) / b;
}
