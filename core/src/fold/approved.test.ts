import { describe, expect, it } from 'vitest';
import {
  allStyles,
  checkFolding,
  foldingBox,
  measureGap,
  outermostPoints,
  paperFor,
  planBox,
  sceneAt,
  toMillimetres,
  usualRequest,
  vector,
  type FoldingBox,
  type Plan,
  type PlanRequest,
  type Vector,
} from '../index.ts';
import { assemblySchema, jointsOf } from './index.ts';
import { approvedBoxes } from '../testing/approved-boxes.ts';
import { sundial } from '../testing/requests.ts';

function boxOf({ pieces, assembly }: Plan, request: PlanRequest): FoldingBox {
  return foldingBox(pieces, ({ paper }) => paperFor(request.papers, paper).thickness, assembly);
}

/** A number of millimetres to the hundredth. */
function hundredths(value: number): string {
  return `${Math.round(value * 100) / 100 + 0}`;
}

/** The corners of the smallest block round some places, and the sum of all of them, which no turn leaves alike. */
function whereabouts(places: readonly Vector[]): string {
  const told = (pick: (...all: number[]) => number) =>
    (['x', 'y', 'z'] as const)
      .map((axis) => hundredths(pick(...places.map((place) => place[axis]))))
      .join(' ');
  const sum = (...all: number[]) => all.reduce((total, each) => total + each, 0);
  return `${told(Math.min)} to ${told(Math.max)}, in all ${told(sum)}`;
}

/** Where each part is half through every stage, and closed. */
function onTheWay(box: FoldingBox): readonly string[] {
  const times = [0, ...Array.from({ length: box.end }, (_, stage) => stage + 0.5), box.end];
  return times.flatMap((time) => {
    const { faces, gift } = sceneAt(box, time, time === 0.5 ? 0.5 : 0);
    return [
      `  at ${time}, gift ${hundredths(gift)}`,
      ...box.parts.map(({ part }) => {
        const here = faces.filter((face) => face.part === part.id);
        return `    ${part.id}: ${whereabouts(here.flatMap(({ ring }) => ring))}`;
      }),
    ];
  });
}

/** What holds the box together, and how far its pieces are from one another. */
function heldBy(box: FoldingBox, { pairs }: Plan): readonly string[] {
  const axes = { across: vector(1, 0, 0), deep: vector(0, 1, 0), high: vector(0, 0, 1) };
  const partsOf = (piece: string) =>
    box.parts.filter((part) => part.piece.id === piece).map(({ part }) => part.id);
  return [
    ...jointsOf(box).map(({ face, on, holds, touches, touched, stage, narrow }) => {
      const told = ({ part, role, face: at }: typeof face) => `${role} ${at} of ${part}`;
      const width = hundredths(toMillimetres(narrow));
      return `  ${holds}: ${touches} of ${told(face)} to ${touched} of ${told(on)} at ${stage}, ${width} narrow`;
    }),
    ...pairs.flatMap(({ outer, inner, fits }) =>
      fits.map(({ direction }) => {
        const [part = ''] = partsOf(outer);
        const gap = measureGap(box, [part], partsOf(inner), axes[direction]);
        return `  ${outer} over ${inner}, ${direction}: ${hundredths(gap)}`;
      }),
    ),
  ];
}

/** What the proof says of a gift that is larger than the room, or that lies askew in it. */
function giftsThatStandOut(plan: Plan, request: PlanRequest): readonly string[] {
  const points = outermostPoints(plan.gift);
  const larger = points.map(({ x, y, z }) => vector(x * 1.5, y, z));
  const askew = points.map(({ x, y, z }) => vector(x + 9, y - 7, z + 3));
  return [larger, askew].flatMap((gift) =>
    checkFolding(boxOf(plan, request), gift).map(({ message }) => `  ${message}`),
  );
}

/** Ways to spoil a plan that the proof must find, or tell rightly by how much. */
const spoils: Readonly<Record<string, (plan: Plan) => void>> = {
  'nothing spoilt': () => undefined,
  'scores folded too little': ({ pieces }) => {
    for (const line of pieces[0]?.grid.lines ?? [])
      for (const span of line.spans) if (span.make === 'score') span.fold.angle *= 0.96;
  },
  'room too high': ({ assembly }) => {
    assembly.cavity.high += 2;
  },
  'room too wide': ({ assembly }) => {
    for (const corner of [...assembly.cavity.floor, ...assembly.cavity.top]) corner.x *= 1.1;
  },
  'last part moved': ({ assembly }) => {
    const part = assembly.parts[assembly.parts.length - 1];
    if (part) Object.assign(part.at, { x: part.at.x + 2.5, z: part.at.z + 0.6 });
  },
  'all stacked on the other side': ({ assembly }) => {
    for (const stack of assembly.stacks)
      stack.side = stack.side === 'inside' ? 'outside' : 'inside';
  },
  'all glued wherever it lies': ({ assembly }) => {
    for (const stack of assembly.stacks) Object.assign(stack, { holds: 'glue', bows: 0 });
  },
};

/** What the proof says of a plan that is spoilt in one way after the other. */
function foundIn(plan: Plan, request: PlanRequest): readonly string[] {
  const gift = outermostPoints(plan.gift);
  return Object.entries(spoils).flatMap(([name, spoil]) => {
    const copy = structuredClone(plan);
    spoil(copy);
    const faults = checkFolding(boxOf(copy, request), gift).map(({ message }) => message);
    return [
      `  ${name}: ${faults.length === 0 ? 'nothing found' : `${faults.length} found`}`,
      ...faults.slice(0, 8).map((fault) => `    ${fault}`),
    ];
  });
}

/*
 * How some boxes of each kind fold, stage by stage, and what the proof finds when they are spoilt. Where a change
 * is meant, take it over with `npx vitest run --root . -u core/src/fold/approved`.
 */
describe('the folding', () => {
  it.each(allStyles.map((style) => [style.id, style] as const))(
    'of a %s is as it was approved',
    async (id, style) => {
      const lines = approvedBoxes(style).flatMap(({ request }, nth) => {
        const result = planBox(request);
        if (!result.ok) return [];
        const { plan } = result;
        return [
          `== box ${nth + 1}`,
          ...onTheWay(boxOf(plan, request)),
          ...heldBy(boxOf(plan, request), plan),
          ...(nth < 2 ? foundIn(plan, request) : []),
          ...giftsThatStandOut(plan, request),
        ];
      });
      await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot(`approved/${id}.txt`);
    },
  );
});

describe('how a box goes together', () => {
  const usual = usualRequest(sundial, 'inch');
  const result = planBox(usual);

  it('is read back as it was written', () => {
    if (!result.ok) throw new Error('The usual box is planned');
    const { assembly } = result.plan;
    expect(assemblySchema.parse(JSON.parse(JSON.stringify(assembly)))).toEqual(assembly);
  });

  it('names only parts that are there', () => {
    if (!result.ok) throw new Error('The usual box is planned');
    const plan = structuredClone(result.plan);
    const [stack] = plan.assembly.stacks;
    if (stack) stack.on.part = 'nowhere';
    expect(() => boxOf(plan, usual)).toThrow('No part nowhere');
  });
});
