/** The last value that will do between one that does and one that doesn't, by so many halvings. */
export function lastThatDoes(
  does: number,
  doesnt: number,
  halvings: number,
  test: (value: number) => boolean,
): number {
  let [good, bad] = [does, doesnt];
  for (let i = 0; i < halvings; i++) {
    const middle = Math.round((good + bad) / 2);
    if (middle === good) break;
    if (test(middle)) good = middle;
    else bad = middle;
  }
  return good;
}
