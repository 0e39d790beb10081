/**
 * Sum with Neumaier's compensation (Neumaier 1974, ZAMM 54:39-51): the error stays at one rounding of the
 * result instead of growing with the number of terms, so that grams added in another order give the same total.
 *
 * @param terms finite numbers, any order and sign
 * @returns their sum, 0 for none. `compensatedSum([1e16, 1, -1e16])` is 1; a plain loop gives 0.
 */
export function compensatedSum(terms: Iterable<number>): number {
  let sum = 0;
  let lost = 0;
  for (const term of terms) {
    const next = sum + term;
    lost += Math.abs(sum) >= Math.abs(term) ? sum - next + term : term - next + sum;
    sum = next;
  }
  return sum + lost;
}
