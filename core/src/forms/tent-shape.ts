/* The cross-section of a tent: a floor and two equal roofs that meet over its middle. All in nanometres. */

/** No roof is flatter or steeper than that. */
export const [flattestRoof, steepestRoof] = [0.6, 2.5];

/** Height of the ridge over the floor's fold line, for a roof panel of this length. */
export function ridgeHeight(roof: number, floor: number): number {
  return Math.sqrt(Math.max(0, roof * roof - (floor * floor) / 4));
}

/** Clear depth that is left at a height between roofs of this length; all in nanometres. */
export function depthUnderRoof(high: number, roof: number, floor: number, card: number): number {
  const ridge = ridgeHeight(roof, floor);
  if (ridge <= 0) return -Infinity;
  const sine = ridge / roof;
  const tangent = ridge / (floor / 2);
  // Half the roof's card and the end flap's lie inside its fold lines.
  return floor - 2 * ((high + card / 2) / tangent + (1.5 * card) / sine);
}

/** The floor and the roof that leave the gift its room at its full height. */
export function tentFor(depth: number, high: number, card: number, slope: number) {
  // The roof's slope is given, so the floor follows.
  const tangent = 2 * slope;
  const sine = tangent / Math.hypot(1, tangent);
  const floor = depth + 2 * ((high + card / 2) / tangent + (1.5 * card) / sine);
  return { floor, roof: Math.hypot(floor / 2, slope * floor) };
}

/** How high the ridge of such a roof stands, over the floor's fold line. */
export function ridgeOfTent(depth: number, high: number, card: number, slope: number): number {
  return slope * tentFor(depth, high, card, slope).floor;
}

/** The slope of the roof whose ridge stands so high: the higher, the steeper. */
export function slopeForRidge(ridge: number, depth: number, high: number, card: number): number {
  let [low, top] = [flattestRoof / 2, steepestRoof * 2];
  for (let i = 0; i < 50; i++) {
    const slope = (low + top) / 2;
    if (ridgeOfTent(depth, high, card, slope) < ridge) low = slope;
    else top = slope;
  }
  return top;
}

/** The shortest roof that does for every floor between two. */
export function leastRoof(
  depth: number,
  high: number,
  card: number,
  floors: readonly number[],
): number {
  let low = Math.max(...floors) / 2;
  let top = 20 * Math.max(...floors) + 20 * high;
  for (let i = 0; i < 50; i++) {
    const roof = (low + top) / 2;
    if (floors.every((floor) => depthUnderRoof(high, roof, floor, card) >= depth)) top = roof;
    else low = roof;
  }
  return top;
}
