import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  inchFraction,
  inches,
  isOnGrid,
  millimetres,
  minus,
  newPanel,
  planBox,
  planRequestSchema,
  plus,
  sheetOf,
  stockPaper,
  styleSummary,
  toMillimetres,
  usualRequest,
  waysOut,
  withLayer,
  type AdditionChoice,
  type Length,
  type PanelChoice,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { dressed } from '../testing/dressed.ts';
import { anyLidded, sundial } from '../testing/requests.ts';

const bare = usualRequest(sundial, 'inch');
const comet = stockPaper('comet');
const lidTop = { piece: 'lid', role: 'lid', faces: 'top' } as const;

function wearing(...additions: AdditionChoice[]): PlanRequest {
  return { ...bare, additions };
}

function panelOn(on: PanelChoice['on']): PanelChoice {
  return newPanel({ id: 'panel-1', on, paper: comet, unit: 'inch' });
}

function planned(request: PlanRequest): Plan {
  const result = planBox(request);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.plan;
}

function sizeOf(plan: Plan, name: string): { readonly width: Length; readonly height: Length } {
  const piece = plan.pieces.find((each) => each.name === name);
  if (!piece) throw new Error(`No ${name}: ${plan.pieces.map((each) => each.name).join(', ')}`);
  return cutSizeOf(piece.grid);
}

/** Between the scores of a tray: its cut size less two walls. */
function floorOf({ pieces }: Plan, id: string): Length {
  return pieces.find((piece) => piece.id === id)?.grid.columns[1] ?? inches(0);
}

describe('a panel', () => {
  it('is the face less its margin on every side, on the trimmer’s marks', () => {
    const plan = planned(wearing(panelOn({ which: 'face', face: lidTop })));
    const face = floorOf(plan, 'lid');
    const { width, height } = sizeOf(plan, 'Lid top panel');
    // 1/8 in on both sides, and never more than another mark.
    expect(minus(face, width)).toBeGreaterThanOrEqual(inchFraction(1, 4));
    expect(minus(face, width)).toBeLessThan(plus(inchFraction(1, 4), bare.kit.trimmer.step));
    expect(height).toBe(width);
    expect(isOnGrid(width, bare.kit.trimmer.step)).toBe(true);
  });

  it('has layers that each keep in from the one below', () => {
    const one = panelOn({ which: 'face', face: lidTop });
    const plan = planned(wearing(withLayer(one, stockPaper('graphite'), 'inch')));
    const [lower, upper] = [
      sizeOf(plan, 'Lower lid top panel'),
      sizeOf(plan, 'Upper lid top panel'),
    ];
    expect(minus(lower.width, upper.width)).toBe(inchFraction(1, 8));
  });

  it('on the walls of a base makes its lid larger by as much card, and only then', () => {
    const all = panelOn({ which: 'walls', piece: 'base' });
    const thick = { ...comet, thickness: inchFraction(1, 32) };
    const high = { ...sundial, high: inches(2) };
    const tall = (...worn: AdditionChoice[]) => planned({ ...wearing(...worn), gift: high });
    const grown = tall({ ...all, layers: [{ margin: inchFraction(1, 8), paper: thick }] });
    const plain = tall();
    const growth = minus(floorOf(grown, 'lid'), floorOf(plain, 'lid'));
    expect(toMillimetres(growth)).toBeGreaterThan(0.8);
    expect(floorOf(grown, 'base')).toBe(floorOf(plain, 'base'));
    expect(grown.pairs.map(({ state }) => state)).not.toContain('tight');
    const ending = tall({ ...all, underCover: 'ends' });
    expect(floorOf(ending, 'lid')).toBe(floorOf(plain, 'lid'));
    expect(sizeOf(ending, 'Base wall panel').height).toBeLessThan(
      sizeOf(grown, 'Base wall panel').height,
    );
  });

  it('is one piece for both of two walls that are alike, however they slant', () => {
    const micrometres = (from: number, to: number) =>
      fc.integer({ min: from * 1000, max: to * 1000 }).map((size) => millimetres(size / 1000));
    const gifts = fc.record({
      shape: fc.constant('card' as const),
      across: micrometres(20, 60),
      deep: micrometres(30, 75),
      thick: micrometres(1, 4),
    });
    const counts = fc.constantFrom(1, 2, 3);
    fc.assert(
      fc.property(gifts, counts, (gift, count) => {
        const one = panelOn({ which: 'walls', piece: 'tent' });
        const layers = Array.from({ length: count }, () => one.layers).flat();
        const panel: PanelChoice = { ...one, layers };
        const request = usualRequest(gift, 'mm');
        const style = styleSummary('tent-top').usual;
        const result = planBox({ ...request, style, additions: [panel] });
        fc.pre(result.ok);
        // Each wall of a tent has one like it across from it.
        const copies = result.plan.pieces.flatMap((piece) =>
          piece.id.startsWith(panel.id) ? [piece.copies] : [],
        );
        expect(copies).toEqual(copies.map((each) => (each === 4 ? 4 : 2)));
      }),
    );
  });

  it('leaves the box itself as it is where nothing goes over it', () => {
    fc.assert(
      fc.property(dressed(anyLidded), (request) => {
        const free = request.additions.flatMap((each) =>
          each.addition === 'panel' ? [{ ...each, underCover: 'ends' as const }] : [],
        );
        const [with_, without] = [
          planBox({ ...request, additions: free }),
          planBox({ ...request, additions: [] }),
        ];
        if (!with_.ok || !without.ok) return;
        const own = (plan: Plan) =>
          plan.pieces.filter(({ grid }) => grid.roles[0]?.[0] !== 'panel');
        const sides = (plan: Plan) => [plan.gift, own(plan)];
        // A gift that may stand any way up may stand another way for the sake of its sheets.
        if (JSON.stringify(with_.plan.gift) !== JSON.stringify(without.plan.gift)) return;
        expect(sides(with_.plan)).toEqual(sides(without.plan));
      }),
      { numRuns: 25 },
    );
  });

  it('is left off where the box has no such face, and put on the one that is like it', () => {
    const other = panelOn({ which: 'face', face: { piece: 'lid', role: 'seat', faces: 'top' } });
    expect(planned(wearing(other)).pieces).toHaveLength(2);
    const top = panelOn({ which: 'face', face: lidTop });
    const mailer = styleSummary('mailer').usual;
    const names = planned({ ...wearing(top), style: mailer }).pieces.map(({ name }) => name);
    expect(names).toEqual(['Mailer', 'Lid panel']);
  });
});

describe('what can’t be worn', () => {
  const refusals = (request: PlanRequest) => {
    const result = planBox(request);
    return result.ok ? [] : result.problems;
  };

  it('is a margin that eats its panel: the widest that does is named, and does', () => {
    const wide = panelOn({ which: 'face', face: lidTop });
    const asked = wearing({ ...wide, layers: [{ margin: inches(2), paper: comet }] });
    const [problem] = refusals(asked);
    expect(problem?.field).toBe('additions.0.layers.0.margin');
    expect(problem?.message).toMatch(
      /^A margin of 2 in leaves too little of the panel on the top\. A margin of [\d /]+ in is the widest that will do\.$/,
    );
    const margin = problem?.nearest ?? inches(0);
    const [layer] = wide.layers;
    if (!layer) throw new Error('No layer');
    expect(planBox(wearing({ ...wide, layers: [{ ...layer, margin }] })).ok).toBe(true);
    const wider = plus(margin, bare.kit.trimmer.step);
    expect(planBox(wearing({ ...wide, layers: [{ ...layer, margin: wider }] })).ok).toBe(false);
  });

  it('is a panel larger than its sheet, with a larger sheet, and the way without it', () => {
    const small = { ...comet, sheet: sheetOf(inches(2), inches(2), 'inch') };
    const on = panelOn({ which: 'face', face: lidTop });
    const asked = wearing({ ...on, layers: [{ margin: inchFraction(1, 8), paper: small }] });
    expect(refusals(asked)[0]?.message).toMatch(/^The lid top panel needs a piece of/);
    const ways = waysOut(asked, refusals(asked));
    expect(ways.map(({ said }) => said)).toContainEqual(
      expect.stringMatching(/^Comet in sheets of /),
    );
    for (const { part } of ways) expect(planBox({ ...asked, ...part }).ok).toBe(true);
  });

  it('is more than a dozen things', () => {
    const many = Array.from({ length: 13 }, () => panelOn({ which: 'face', face: lidTop }));
    expect(planRequestSchema.safeParse(wearing(...many)).success).toBe(false);
  });
});
