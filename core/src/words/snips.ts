import {
  ordinalInWords,
  minus,
  nanometres,
  times,
  zero,
  type Length,
  type Unit,
} from '../length/index.ts';
import {
  isCircular,
  type CutAwayOperation,
  type CutOutOperation,
  type Ends,
  type FromCorner,
  type OutlineOperation,
  type RoundOperation,
  type SlantOperation,
  type SlitOperation,
  type TaperOperation,
} from '../make/index.ts';
import { formatNearest, nearestInRow, nearestMark, stretchInWords } from './measures.ts';
import { atCorners, cornersInWords, edgesOf, placeInWords } from './places.ts';
import { capitalised, countInWords, inRow, plural } from './plain.ts';
import { isOpening, allInWords, roleInWords, useInWords } from './roles.ts';

function at(corners: readonly CutAwayOperation['at']['corners'][number][], words: string): string {
  return `${capitalised(`${atCorners(corners)}${words}`)}.`;
}

/** Scores along a ruler: `At each corner, score along a ruler from … to …`. */
export function slantSentences({ at: group }: SlantOperation, unit: Unit): readonly string[] {
  const [from, to] = group.spots;
  if (!from || !to) return [];
  const { corners } = group;
  return [
    at(
      corners,
      `score along a ruler from ${placeInWords(from, corners, unit)} to ${placeInWords(to, corners, unit)}`,
    ),
  ];
}

/** Places one after the other: `A; B; C`. */
function pointsInRow(points: readonly string[]): string {
  return points.join('; ');
}

/** A straight-sided shape: the places of its corners, one after the other. */
export function outlineSentences({ points }: OutlineOperation, unit: Unit): readonly string[] {
  const places = points.map(({ corner, from }) => placeInWords(from, [corner], unit));
  return [
    `Mark these points in pencil: ${pointsInRow(places)}.`,
    'Cut straight from each to the next, and from the last to the first.',
  ];
}

/** Slits that are told in one go: along several lines, the rest of them alike. */
interface SlitGroup {
  readonly slit: SlitOperation;
  /** How far each line is from the edge that it runs along. */
  readonly lines: Length[];
}

function runsDown({ at: { spots } }: SlitOperation): boolean {
  return spots[0]?.across === spots[1]?.across;
}

/** Where slits begin and end, and how far they go. */
function slitStretch(slit: SlitOperation, unit: Unit): string {
  const [from, to] = slit.at.spots;
  if (!from || !to) return '';
  const { side, end } = edgesOf(slit.at.corners);
  const [start, stop, edge] = runsDown(slit)
    ? [from.down, to.down, end]
    : [from.across, to.across, side];
  const upTo =
    slit.upToScore === undefined
      ? ''
      : ` up to the ${ordinalInWords(slit.upToScore)} score across,`;
  if (start === zero) return `from the ${edge}${upTo} ${formatNearest(stop, unit)} deep`;
  return `from ${stretchInWords(start, stop, unit)} from the ${edge}`;
}

/** Slits along lines: those of one edge and one depth together. */
export function slitSentences(slits: readonly SlitOperation[], unit: Unit): readonly string[] {
  const groups = new Map<string, SlitGroup>();
  for (const slit of slits) {
    const [from] = slit.at.spots;
    if (!from) continue;
    const line = runsDown(slit) ? from.across : from.down;
    const key = JSON.stringify([slit.at.corners, runsDown(slit), slitStretch(slit, unit)]);
    const group = groups.get(key);
    if (group) group.lines.push(line);
    else groups.set(key, { slit, lines: [line] });
  }
  return [...groups.values()].map(({ slit, lines }) => {
    const { corners } = slit.at;
    const { side, end } = edgesOf(corners);
    const edge = runsDown(slit) ? side : end;
    const what = lines.length === 1 ? 'the line' : 'the lines';
    return at(
      corners,
      `slit ${what} ${nearestInRow(
        [...lines].sort((a, b) => a - b),
        unit,
      )} from the ${edge}, ${slitStretch(slit, unit)}`,
    );
  });
}

/** What a block is cut away for, where it is more than waste. */
function purpose(use: CutAwayOperation['use'], count: number): string {
  if (use === 'waste') return '';
  if (isOpening(use)) return `for the ${useInWords(use)}, `;
  return `to trim the ${count === 1 ? useInWords(use) : plural(useInWords(use))}, `;
}

function blockInWords(
  from: FromCorner,
  to: FromCorner,
  group: CutAwayOperation['at'],
  unit: Unit,
): string {
  const { corners } = group;
  const { side, end } = edgesOf(corners);
  const wide = formatNearest(minus(to.across, from.across), unit);
  const high = formatNearest(minus(to.down, from.down), unit);
  const [corner] = corners;
  if (from.across === zero && from.down === zero) {
    const which = corners.length === 1 && corner ? `the ${corner} corner` : 'a block';
    return `cut away ${which}, ${wide} wide and ${high} high`;
  }
  const across = `${stretchInWords(from.across, to.across, unit)} from the ${side}`;
  const down = `${stretchInWords(from.down, to.down, unit)} from the ${end}`;
  if (from.down === zero) return `cut away a block at the ${end}, from ${across}, ${high} deep`;
  if (from.across === zero) return `cut away a block at the ${side}, from ${down}, ${wide} deep`;
  return `cut away a block from ${across} and from ${down}`;
}

/** Straight-sided card that is cut away. */
export function cutAwaySentences(
  { use, at: group, shape }: CutAwayOperation,
  unit: Unit,
): readonly string[] {
  const { corners } = group;
  const { side, end } = edgesOf(corners);
  const why = purpose(use, corners.length);
  switch (shape.kind) {
    case 'block':
      return [at(corners, `${why}${blockInWords(shape.from, shape.to, group, unit)}`)];
    case 'tip': {
      const [corner] = corners;
      const which = corners.length === 1 && corner ? `the ${corner} corner` : 'the corner';
      return [
        at(
          corners,
          `${why}cut ${which} off straight, from ${formatNearest(shape.across, unit)} along the ${end} to ${formatNearest(shape.down, unit)} along the ${side}`,
        ),
      ];
    }
    case 'bit': {
      const points = shape.points.map((point) => placeInWords(point, corners, unit));
      return [at(corners, `${why}cut away what lies between ${pointsInRow(points)}`)];
    }
    case 'slit': {
      const ends = [shape.from, shape.to].map((point) => placeInWords(point, corners, unit));
      const what = use === 'waste' ? 'slit' : useInWords(use);
      return [at(corners, `cut a ${what} from ${ends.join(' to ')}`)];
    }
  }
}

/** Which parts are meant, by the edge at which their ends are. */
function endsInWords(ends: Ends, { role }: Pick<TaperOperation, 'role'>, unit: Unit): string {
  if (ends.kind === 'in corners') {
    const along = ends.along === 'side edge' ? 'side edge' : edgesOf(ends.corners).end;
    return `the ${roleInWords(role, 1)} in ${cornersInWords(ends.corners)}, whose end is at the ${along}`;
  }
  const { sides, inFrom, which } = ends;
  const count = ends.count * sides.length;
  const edge = inRow(sides.map((side) => `the ${side}`));
  const where =
    inFrom === zero
      ? `at ${edge} edge`
      : `that ${count === 1 ? 'ends' : 'end'} ${formatNearest(inFrom, unit)} from ${edge} edge`;
  if (which === 'all') return `${allInWords(role, count)} ${where}`;
  const start = sides.includes('top') || sides.includes('bottom') ? 'left' : 'top';
  const stretches = which.map(({ from, to }) => `from ${stretchInWords(from, to, unit)}`);
  const name =
    count === 1
      ? `the ${roleInWords(role, 1)}`
      : `the ${countInWords(count)} ${roleInWords(role, count)}`;
  return `${name} ${where}, ${inRow(stretches)} from the ${start} edge`;
}

/** Ends drawn in: how much at the end, and how much at the fold. */
export function taperSentences(taper: TaperOperation, unit: Unit): readonly string[] {
  const { inset, shoulder, ends } = taper;
  const atFold = formatNearest(shoulder, unit);
  const fold = nearestIsNothing(shoulder, unit)
    ? 'to nothing at the fold'
    : `to ${atFold} at the fold`;
  return [
    `Taper ${endsInWords(ends, taper, unit)}: cut off both flanks, from ${leastSaid(inset, unit)} at the end ${fold}.`,
  ];
}

function nearestIsNothing(length: Length, unit: Unit): boolean {
  return nearestMark(length, unit) === zero;
}

/** Scissors are led by eye: never by nothing. */
function leastSaid(length: Length, unit: Unit): string {
  return nearestIsNothing(length, unit)
    ? unit === 'inch'
      ? '1/32 in'
      : '0.5 mm'
    : formatNearest(length, unit);
}

/** Places on the curve of a corner, from where it leaves the one edge to where it meets the other. */
function curvePoints({ at: { spots }, along, down }: RoundOperation): readonly FromCorner[] {
  const [sharp, onEnd, onSide] = spots;
  if (!sharp || !onEnd || !onSide) return [];
  const away = {
    across: Math.sign(onEnd.across - sharp.across),
    down: Math.sign(onSide.down - sharp.down),
  };
  return [0, 30, 60, 90].map((degrees) => {
    const angle = (degrees * Math.PI) / 180;
    return {
      across: nanometres(Math.round(sharp.across + away.across * along * (1 - Math.sin(angle)))),
      down: nanometres(Math.round(sharp.down + away.down * down * (1 - Math.cos(angle)))),
    };
  });
}

/** Rounded corners: with a punch, along something round, or along a curve through points. */
export function roundSentences(round: RoundOperation, unit: Unit): readonly string[] {
  const { at: group, use, along, punch } = round;
  if (use === 'disc') {
    const wide = formatNearest(times(along, 2), unit);
    return [
      punch === undefined
        ? `Draw along something round, ${wide} wide, that touches all four edges, and cut the disc out along it.`
        : `Punch the disc out with the ${punch}: it is ${wide} wide, and touches all four edges.`,
    ];
  }
  const { corners } = group;
  const [sharp, onEnd, onSide] = group.spots;
  if (!sharp || !onEnd || !onSide) return [];
  const name = useInWords(use);
  const where = placeInWords(sharp, corners, unit);
  const what = `round the ${name} at ${where}`;
  const isOwnCorner = sharp.across === zero && sharp.down === zero;
  const ends = [onEnd, onSide].map((spot) => placeInWords(spot, corners, unit));
  if (punch !== undefined) {
    // Inside a piece a point has two sides.
    const way = isOwnCorner ? '' : `, from ${ends.join(' to ')}`;
    return [at(corners, `${what} with the ${punch}${way}`)];
  }
  if (isCircular(round)) {
    const wide = formatNearest(times(along, 2), unit);
    return [
      at(corners, what),
      isOwnCorner
        ? `Draw along something round, ${wide} wide, that touches both edges.`
        : at(corners, `draw along something round, ${wide} wide, from ${ends.join(' to ')}`),
    ];
  }
  const points = curvePoints(round).map((point) => placeInWords(point, corners, unit));
  return [
    at(corners, what),
    at(corners, `draw a smooth curve from ${pointsInRow(points)}, and cut along it`),
  ];
}

/** The edge that a notch is in. */
function notchEdge({ at: { corners, spots }, edges }: CutOutOperation, unit: Unit): string {
  const [middle] = spots;
  const { side, end } = edgesOf(corners);
  const [edge] = edges;
  const isLevel = edge === 'top' || edge === 'bottom';
  const [name, off] = isLevel ? [end, middle?.down ?? zero] : [side, middle?.across ?? zero];
  return off === zero ? `the ${name}` : `the edge ${formatNearest(off, unit)} from the ${name}`;
}

/** Holes and notches: what makes them, how wide, and where their middle is. */
export function cutOutSentences(cutOut: CutOutOperation, unit: Unit): readonly string[] {
  const { at: group, use, shape, width, punch, edges } = cutOut;
  const { corners } = group;
  const [middle] = group.spots;
  if (!middle) return [];
  const name = useInWords(use);
  const article = /^[aeiou]/.test(name) ? 'an' : 'a';
  if (shape === 'hole') {
    const where = `its middle at ${placeInWords(middle, corners, unit)}`;
    return [
      at(
        corners,
        punch === undefined
          ? `cut ${article} ${name} ${formatNearest(width, unit)} across, ${where}`
          : `punch ${article} ${name} with the ${punch}, ${where}`,
      ),
    ];
  }
  const { side, end } = edgesOf(corners);
  const isLevel = edges[0] === 'top' || edges[0] === 'bottom';
  const along = isLevel
    ? `${formatNearest(middle.across, unit)} from the ${side}`
    : `${formatNearest(middle.down, unit)} from the ${end}`;
  const edge = notchEdge(cutOut, unit);
  if (use === 'border' && punch !== undefined)
    return [
      at(
        corners,
        // It bites half as wide as it is.
        `punch the border into ${edge} with the ${punch}, ${formatNearest(times(width, 2), unit)} wide, its middle ${along}`,
      ),
    ];
  return [
    at(
      corners,
      punch === undefined
        ? `cut a half-round ${name} into ${edge}, ${formatNearest(width, unit)} wide, its middle ${along}`
        : `push the ${punch} half over ${edge} and punch a ${name}, its middle ${along}`,
    ),
  ];
}
