import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  inches,
  inchFraction,
  kitAsItIs,
  kitFor,
  kitOf,
  kitSchema,
  millimetres,
  planBox,
  shippedToolbox,
  toolboxSchema,
  toolsAtHand,
  usualRequest,
  type Toolbox,
  type Unit,
} from '../index.ts';
import { flatOf } from '../testing/flat.ts';
import { anyRequest, sundial } from '../testing/requests.ts';

/** The shipped tools with some of them marked as the maker's. */
const anyToolbox: fc.Arbitrary<Toolbox> = fc
  .array(fc.boolean(), { minLength: 8, maxLength: 8 })
  .map((marks) => ({
    ...shippedToolbox,
    boards: shippedToolbox.boards.map(({ tool }, i) => ({ tool, owned: marks[i] ?? false })),
    trimmers: shippedToolbox.trimmers.map(({ tool }, i) => ({
      tool,
      owned: marks[i + 4] ?? false,
    })),
  }));
const anyUnit = fc.constantFrom<Unit>('inch', 'mm');

describe('a toolbox', () => {
  it('gives a kit of the maker’s own tools, in their unit where they have any', () => {
    fc.assert(
      fc.property(anyToolbox, anyUnit, (toolbox, unit) => {
        const kit = kitFor(toolbox, unit);
        for (const [tool, kept] of [
          [kit.board, toolbox.boards],
          [kit.trimmer, toolbox.trimmers],
        ] as const) {
          const atHand = toolsAtHand<{ id: string; unit: Unit }>(kept);
          expect(atHand.map(({ id }) => id)).toContain(tool.id);
          if (kept.some(({ owned }) => owned))
            expect(kept.find((each) => each.tool.id === tool.id)?.owned).toBe(true);
          if (atHand.some((each) => each.unit === unit)) expect(tool.unit).toBe(unit);
        }
      }),
    );
  });

  it('changes the boxes that use a tool, and no others', () => {
    fc.assert(
      fc.property(anyToolbox, anyUnit, fc.nat({ max: 3 }), (toolbox, unit, at) => {
        const changed: Toolbox = {
          ...toolbox,
          boards: toolbox.boards.map((kept, i) =>
            i === at ? { ...kept, tool: { ...kept.tool, pitch: millimetres(7) } } : kept,
          ),
        };
        const kit = kitFor(toolbox, unit);
        const now = kitAsItIs(kit, changed);
        const isIt = toolbox.boards[at]?.tool.id === kit.board.id;
        expect(now.board.pitch).toBe(isIt ? millimetres(7) : kit.board.pitch);
        expect(now.trimmer).toEqual(kit.trimmer);
        // A tool that is gone from the toolbox stays in the box as it was.
        expect(kitAsItIs(kit, { ...toolbox, boards: [], trimmers: [] })).toEqual(kit);
      }),
    );
  });

  it('reads a kit that was kept before tools had all their numbers', () => {
    const old = {
      trimmer: { name: '1/16 in steps', unit: 'inch', step: inchFraction(1, 16) },
      board: {
        name: '1/8 in grooves',
        unit: 'inch',
        pitch: inchFraction(1, 8),
        reach: 304_800_000,
      },
    };
    const kit = kitSchema.parse(old);
    const request = usualRequest(sundial, 'inch');
    const plans = [kit, request.kit].map((each) => planBox({ ...request, kit: each }));
    expect(plans[0]).toEqual(plans[1]);
  });

  it('refuses two tools of one id, and a name that is none', () => {
    const [first] = shippedToolbox.boards;
    if (!first) throw new Error('Boards are shipped');
    const twice = { ...shippedToolbox, boards: [first, first] };
    expect(toolboxSchema.safeParse(twice).error?.issues[0]?.message).toMatch(/id of its own/);
    const unnamed = { owned: true, tool: { ...first.tool, name: ' ' } };
    const answer = toolboxSchema.safeParse({ ...shippedToolbox, boards: [unnamed] });
    expect(answer.error?.issues[0]?.message).toBe('Give the tool a name.');
  });
});

describe('a score off the grooves', () => {
  it('is made with the trimmer’s tip where there is one, right across and at its marks', () => {
    let tips = 0;
    fc.assert(
      fc.property(anyRequest, (request) => {
        const [without, withTip] = [false, true].map((scoringTip) => {
          const trimmer = { ...request.kit.trimmer, scoringTip };
          const kit = kitOf({ trimmer, board: { ...request.kit.board, grooveLength: inches(40) } });
          const result = planBox({ ...request, kit });
          return result.ok ? { plan: result.plan, kit } : undefined;
        });
        // What is cut and where it is scored is the same either way.
        expect(withTip?.plan.pieces).toEqual(without?.plan.pieces);
        const { pitch, reach } = request.kit.board;
        const scores = (box: typeof withTip) =>
          (box ? flatOf(box.plan, box.kit) : []).flatMap((each) =>
            each.kind === 'score' ? each.marks.map((mark) => ({ tool: each.tool, mark })) : [],
          );
        for (const { tool, mark } of [...scores(without), ...scores(withTip)])
          if (tool === 'board') {
            // With a shim between, the edge lies off the fence by its thickness.
            const groove = mark.reading + (mark.shim ?? 0);
            expect(groove % pitch === 0 && groove <= reach).toBe(true);
          }
        expect(scores(without).some(({ tool }) => tool === 'tip')).toBe(false);
        for (const { tool, mark } of scores(withTip)) {
          if (tool !== 'tip') continue;
          tips++;
          expect(mark.reading % request.kit.trimmer.step).toBe(0);
          expect(mark.part).toBeUndefined();
        }
      }),
    );
    expect(tips).toBeGreaterThan(0);
  });
});
