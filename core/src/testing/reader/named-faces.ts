import type { Place, Side } from './card.ts';
import type { CardFace, FacedCard } from './card-faces.ts';
import { countOf } from './english.ts';

/** Finds the faces that a name means on a card; throws where it means none, or might mean several. */
export interface NamedFaces {
  readonly find: (name: string) => readonly CardFace[];
  /** Faces of that kind, so many of them, that wait next to another one. */
  readonly nextTo: (target: string, count: number) => readonly CardFace[];
  /** Everything without a name that touches these. */
  readonly around: (faces: readonly CardFace[]) => readonly CardFace[];
  /** All parts that hang on something and have no name of their own. */
  readonly tabs: (count: number) => readonly CardFace[];
}

export const ordinals = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
];

/** The names in a row: `left wall, floor and right wall`, `nine walls and seam`. */
function namesIn(row: string): readonly string[] {
  return row.split(/, | and /).flatMap((name) => {
    const [, number, panel] = /^(\w+) (wall|top panel)s$/.exec(name) ?? [];
    return number === undefined
      ? [name]
      : Array.from({ length: countOf(number) }, (_, i) => `${ordinals[i] ?? ''} ${panel ?? ''}`);
  });
}

type Row = readonly CardFace[];

function sameRow(a: Row, b: Row): boolean {
  return a.length === b.length && a.every((face, i) => face === b[i]);
}

function distinct(rows: readonly Row[]): readonly Row[] {
  return rows.filter((row, i) => rows.findIndex((each) => sameRow(each, row)) === i);
}

/** Rows of so many faces; one more where a score only marks the first of them. */
function rowsOf(rows: readonly Row[], count: number): readonly Row[] {
  const all = distinct(rows).filter((row) => row.length > 0);
  const exact = all.filter(({ length }) => length === count);
  // Where something hangs on both ends all along, it is passed too.
  const wider = all.filter(({ length }) => length === count + 2).map((row) => row.slice(1, -1));
  const found = distinct([...exact, ...wider]);
  return found.length > 0
    ? found
    : all.filter(({ length }) => length === count + 1).map((row) => row.slice(1));
}

const told: readonly (readonly [
  RegExp,
  keyof Pick<FacedCard, 'rows' | 'columns' | 'falling' | 'rising'>,
])[] = [
  [/^From left to right it becomes (.+)\.$/, 'rows'],
  [/^From top to bottom it becomes (.+)\.$/, 'columns'],
  [/^From the top left to the bottom right corner it becomes (.+)\.$/, 'falling'],
  [/^From the bottom left to the top right corner it becomes (.+)\.$/, 'rising'],
];

/** What is told of a card's rows, each with the rows that it might be. */
function rowsTold(card: FacedCard, sentences: readonly string[]) {
  return sentences.flatMap((sentence) =>
    told.flatMap(([pattern, way]) => {
      const row = pattern.exec(sentence)?.[1];
      if (row === undefined) return [];
      const names = namesIn(row);
      return [{ way, names, rows: rowsOf(card[way], names.length) }];
    }),
  );
}

/** The rows that are meant: those that cross in the face that both name, and the plainest of them. */
function rowsMeant(card: FacedCard, sentences: readonly string[]) {
  const all = rowsTold(card, sentences);
  const [one, other] = all;
  if (!one) return [];
  const plainest = (rows: readonly Row[]): Row => {
    // Nobody takes a row of flaps for the whole piece: it is told from edge to edge.
    const long = (row: Row) =>
      Math.max(...row.map(({ right }) => right)) - Math.min(...row.map(({ left }) => left));
    // Of two about as long it is the one that is passed on more lines.
    const often = (row: Row) =>
      card[one.way].filter((each) => sameRow(each, row) || sameRow(each.slice(1, -1), row)).length;
    const [best] = [...rows].sort((a, b) =>
      Math.abs(long(a) - long(b)) > 0.05 * long(a) ? long(b) - long(a) : often(b) - often(a),
    );
    if (!best) throw new Error(`No such row: ${one.names.join(', ')}`);
    return best;
  };
  if (!other) return [{ ...one, row: plainest(one.rows) }];
  const shared = one.names.find((name) => other.names.includes(name));
  const isWall = other.names.includes('a wall');
  if (shared === undefined && !isWall) throw new Error('The rows have nothing in common');
  const pairs = one.rows.flatMap((row) =>
    other.rows.flatMap((column) => {
      const crossing = column[other.names.indexOf(isWall ? 'a wall' : (shared ?? ''))];
      const isMeant = isWall
        ? crossing !== undefined && row.includes(crossing)
        : crossing === row[one.names.indexOf(shared ?? '')];
      return isMeant ? [{ row, column }] : [];
    }),
  );
  const row = plainest(pairs.map((pair) => pair.row));
  const column = pairs.find((pair) => pair.row === row)?.column ?? [];
  return [
    { ...one, row },
    { ...other, row: column },
  ];
}

const opposite: Readonly<Record<Side, Side>> = {
  left: 'right',
  right: 'left',
  top: 'bottom',
  bottom: 'top',
};

/** On which side of a face something is folded. */
function sideAt({ left, right, top, bottom }: CardFace, { x, y }: Place): Side {
  const across = (x - (left + right) / 2) / (right - left || 1);
  const down = (y - (top + bottom) / 2) / (bottom - top || 1);
  if (Math.abs(across) > Math.abs(down)) return across < 0 ? 'left' : 'right';
  return down < 0 ? 'top' : 'bottom';
}

/** Gives the faces of a card the names that are told of them. */
export function namedFaces(card: FacedCard, sentences: readonly string[]): NamedFaces {
  const meant = rowsMeant(card, sentences);
  const known = new Map<string, CardFace>();
  for (const { names, row } of meant)
    names.forEach((name, i) => {
      const face = row[i];
      const before = known.get(name);
      if (!face || name === 'a wall' || name.startsWith('its ')) return;
      if (before && before !== face) throw new Error(`Two of them are the ${name}`);
      known.set(name, face);
    });
  const hangingOn = (face: CardFace): readonly CardFace[] =>
    card.hinges.flatMap(({ faces: [one, other] }) =>
      one === face ? [other] : other === face ? [one] : [],
    );
  const sideOf = (of: CardFace, face: CardFace): Side => {
    const hinge = card.hinges.find(({ faces }) => faces.includes(of) && faces.includes(face));
    if (!hinge) throw new Error('They do not hang together');
    return sideAt(of, hinge.middle);
  };
  /** On which side of the flat piece lies what has a side of the box in its name. */
  const sides = new Map<string, Side>();
  const across = meant.find(({ way }) => way === 'rows');
  const down = meant.find(({ way }) => way === 'columns');
  const middle = known.get('floor') ?? known.get('top');
  if (middle)
    for (const [name, face] of known) {
      const [, side] = /^(left|right|front|back) (?:wall|roof)$/.exec(name) ?? [];
      if (side !== undefined && hangingOn(middle).includes(face))
        sides.set(side, sideOf(middle, face));
    }
  // Of a tube the ends are told along one of its walls.
  else if (down) {
    down.names.forEach((name, i) => {
      const [, end] = /^(top|bottom) flap of|^(?:lid|slope of|top of)|^bottom$/.exec(name) ?? [];
      if (end === undefined && !/^(?:lid|bottom|slope of|top of)/.test(name)) return;
      const wall = down.names.findIndex((each) => /^\w+ wall$/.test(each));
      const isTop = end === 'top' || /^(?:lid|slope of|top of)/.test(name);
      const side: Side = i < wall ? 'top' : 'bottom';
      sides.set(isTop ? 'top' : 'bottom', side);
      sides.set(isTop ? 'bottom' : 'top', opposite[side]);
    });
  }
  /** Where a side of the box lies as seen from a panel that hangs on a wall of a tube. */
  const besideWall = (panel: CardFace, side: string): Side | undefined => {
    if (!across) return undefined;
    const at = across.row.findIndex((face) => hangingOn(panel).includes(face));
    const walls = across.names.filter((name) => name.endsWith(' wall'));
    if (at < 0 || at >= walls.length) return undefined;
    const name = (way: number) => walls[(at + way + walls.length) % walls.length] ?? '';
    if (name(-1) === `${side} wall`) return 'left';
    if (name(1) === `${side} wall`) return 'right';
    const hinge = across.row[at];
    return hinge && name(2) === `${side} wall` ? sideOf(hinge, panel) : undefined;
  };
  const hangsAt = (of: CardFace, side: Side, name: string): CardFace => {
    const there = hangingOn(of).filter((face) => sideOf(of, face) === side);
    const [face] = there;
    if (!face || there.length > 1) throw new Error(`Which is the ${name}?`);
    return face;
  };
  const find = (name: string): CardFace => {
    const face = known.get(name);
    if (face) return face;
    const tabs = /^tabs? of the (.+)$/.exec(name)?.[1];
    if (tabs !== undefined) throw new Error(`Not one, but the tabs of the ${tabs}`);
    const [, what = '', of = ''] = /^(.+?) of the (.+)$/.exec(name) ?? [];
    const parent = of === '' ? undefined : find(of);
    const [end = ''] = what.split(' ');
    if (!parent) throw new Error(`What is the ${name}?`);
    if (what === 'rim') {
      const there = hangingOn(parent).filter((each) => ![...known.values()].includes(each));
      const [only] = there;
      if (!only || there.length > 1) throw new Error(`Which is the ${name}?`);
      return only;
    }
    const isOnTube = across !== undefined && !middle;
    const side = (isOnTube ? besideWall(parent, end) : undefined) ?? sides.get(end);
    if (side === undefined) throw new Error(`Where is ${end} on the flat piece: “${name}”?`);
    return hangsAt(parent, side, name);
  };
  /** Everything in the same strip of a tube: its seam and walls may have scores across. */
  const withStrip = (name: string, face: CardFace): readonly CardFace[] =>
    !middle && across && (name === 'seam' || name.endsWith(' wall'))
      ? card.faces.filter((each) => each.left > face.left - 1.6 && each.right < face.right + 1.6)
      : [face];
  /** A tab stays one of the tabs, though a row has told where it hangs. */
  const isNamed = (face: CardFace) =>
    [...known].some(([name, each]) => each === face && !name.startsWith('tab of'));
  return {
    find: (name) => {
      const wall = /^tabs? of the (.+)$/.exec(name)?.[1];
      if (wall === undefined) return withStrip(name, find(name));
      const tabs = hangingOn(find(wall)).filter((face) => !isNamed(face));
      if (tabs.length === 0) throw new Error(`Where are the tabs of the ${wall}?`);
      return tabs;
    },
    nextTo: (target, count) => {
      const wall = find(target);
      const beside = card.faces
        .filter(
          (face) =>
            !isNamed(face) && hangingOn(face).length === 1 && !hangingOn(wall).includes(face),
        )
        .map((face) => {
          const [across, down] = [
            Math.max(0, wall.left - face.right, face.left - wall.right),
            Math.max(0, wall.top - face.bottom, face.top - wall.bottom),
          ];
          return { face, apart: Math.hypot(across, down) };
        })
        .sort((a, b) => a.apart - b.apart);
      const [last, after] = [beside[count - 1], beside[count]];
      if (!last) throw new Error(`Not ${count} next to the ${target}`);
      if (after && after.apart < last.apart + 1)
        throw new Error(`More than ${count} next to the ${target}`);
      return beside.slice(0, count).map(({ face }) => face);
    },
    around: (faces) =>
      card.faces.filter(
        (face) =>
          !isNamed(face) &&
          faces.some(
            (wall) =>
              hangingOn(wall).includes(face) ||
              (face.left < wall.right + 8 &&
                face.right > wall.left - 8 &&
                face.top < wall.bottom + 8 &&
                face.bottom > wall.top - 8),
          ),
      ),
    tabs: (count) => {
      const there = card.faces.filter((face) => !isNamed(face) && hangingOn(face).length === 1);
      const ringTabs = across
        ? across.row.flatMap((face) => hangingOn(face).filter((each) => there.includes(each)))
        : there;
      const wanted = [ringTabs, there].find(({ length }) => length === count);
      if (!wanted) throw new Error(`${there.length} tabs, and not ${count}`);
      return wanted;
    },
  };
}
