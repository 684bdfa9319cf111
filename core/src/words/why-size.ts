import {
  formatGap,
  formatLength,
  formatWithUnit,
  plus,
  type Length,
  type Unit,
} from '../length/index.ts';
import type { CellRole, Piece } from '../piece/index.ts';
import type { SectionReason, SizePart, SizeSum } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { readOnMarks, type Kit } from '../tools/index.ts';
import { clearanceInWords, roundedClearance } from './clearance.ts';
import { capitalised, counted } from './plain.ts';
import { roleInWords } from './roles.ts';

/** A length on the marks that it is cut or scored by. */
function told(length: Length, kit: Kit): string {
  const read = readOnMarks(length, kit);
  return `${read.isAbout ? 'about ' : ''}${formatWithUnit(read.length, read.unit)}`;
}

/** Equal parts side by side are told together. */
function runsOf(parts: readonly SizePart[]): readonly (readonly [SizePart, ...SizePart[]])[] {
  const runs: [SizePart, ...SizePart[]][] = [];
  for (const part of parts) {
    const last = runs.at(-1);
    if (last?.[0].role === part.role && last[0].length === part.length) last.push(part);
    else runs.push([part]);
  }
  return runs;
}

/** Figures that stand on one ruler say its unit once, at their end. */
function sumInWords(parts: readonly SizePart[], whole: Length, kit: Kit): string {
  const all = [...parts.map(({ length }) => length), whole].map((each) => readOnMarks(each, kit));
  const units: ReadonlySet<Unit> = new Set(all.map(({ unit }) => unit));
  const isPlain = units.size === 1 && all.every(({ isAbout }) => !isAbout);
  const figure = (length: Length) => {
    const { unit } = readOnMarks(length, kit);
    return isPlain ? formatLength(length, unit) : told(length, kit);
  };
  const terms = runsOf(parts).map(([{ role, length }, ...more]) =>
    more.length === 0
      ? `${roleInWords(role, 1)} ${figure(length)}`
      : `${counted(more.length + 1, roleInWords(role, 1))} of ${figure(length)}`,
  );
  const [only, ...more] = parts;
  if (only && more.length === 0) return `${roleInWords(only.role, 1)} ${told(whole, kit)}`;
  return `${terms.join(' + ')} = ${told(whole, kit)}`;
}

const where = { across: 'on each side', deep: 'at front and back', high: 'over it' } as const;

function reasonInWords(reason: SectionReason, request: PlanRequest): string {
  const { kit, unit, additions } = request;
  const cardOf = (card: Length, what: string) => (card > 0 ? [`${formatGap(card)} ${what}`] : []);
  switch (reason.kind) {
    case 'gift':
      return [
        `the gift’s ${formatWithUnit(reason.gift, unit)}`,
        ...(roundedClearance(reason.room, unit) > 0
          ? [`${clearanceInWords(reason.room, unit)} ${where[reason.direction]}`]
          : []),
        ...cardOf(
          reason.card,
          additions.length > 0 ? 'for the card and what the box wears' : 'for the card',
        ),
      ].join(' + ');
    case 'round the gift': {
      const room = `${clearanceInWords(reason.room, unit)} ${where[reason.direction]}`;
      return `round the gift’s ${formatWithUnit(reason.gift, unit)}, with ${room}`;
    }
    case 'over':
    case 'into': {
      const sign = reason.kind === 'over' ? '+' : '−';
      const section = told(reason.section, kit);
      const other =
        reason.other === undefined
          ? `${section} that it goes ${reason.kind}`
          : `the ${reason.other.toLowerCase()}’s ${section}`;
      const air = reason.gap > 0 ? [`${formatGap(reason.gap)} of air`] : [];
      return [other, ...cardOf(reason.card, 'of card'), ...air].join(` ${sign} `);
    }
    case 'option':
      return reason.word === undefined
        ? `as near as the marks allow to what you asked for under “${reason.label}”`
        : `chosen under “${reason.label}”, ${reason.word}`;
  }
}

/** What the cut size of a piece is the sum of, and why its parts are as long as they are; one sentence each. */
export function sizeSumInWords({ across, down }: SizeSum, request: PlanRequest): readonly string[] {
  const { kit } = request;
  const sums = [
    ['Across', across],
    ['Down', down],
  ] as const;
  const said = sums.map(
    ([way, parts]) =>
      `${way}: ${sumInWords(parts, plus(...parts.map(({ length }) => length)), kit)}.`,
  );
  const reasons = [...across, ...down].flatMap(({ role, length, reason }) =>
    reason
      ? [
          `${capitalised(roleInWords(role, 1))} of ${told(length, kit)}: ${reasonInWords(reason, request)}.`,
        ]
      : [],
  );
  return [...said, ...new Set(reasons)];
}

/** What a piece is cut to that is drawn on a box whose pieces are known. */
const cutTo: Readonly<Partial<Record<CellRole, string>>> = {
  panel: 'It is cut to the face that it lies on, less its margin.',
  plate: 'It is cut to the floor or the lid that it lies on, with a little air round it.',
  film: 'It is cut to its window, and beyond it on every side to be stuck there.',
};

/** Why a piece is as large as it is whose size is the sum of nothing: it is cut to what the box has come to. */
export function whyCutToThat({ grid: { roles } }: Piece): string {
  const [role] = roles.flat().flatMap((each) => cutTo[each] ?? []);
  return role ?? 'It is cut to what the box has come to.';
}
