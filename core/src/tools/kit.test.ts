import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cornerBoardSchema,
  cuttingMeans,
  faultsInMarks,
  genericAdhesives,
  genericCornerBoards,
  genericRulers,
  kitFor,
  nanometres,
  planBox,
  readOnMarks,
  scoringMeans,
  shippedToolbox,
  tapeFor,
  toolKindSchema,
  usualRequest,
  verdictsOf,
  type Toolbox,
  type ToolKind,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { flatOf } from '../testing/flat.ts';
import { anyRequest, shippedKits, sundial } from '../testing/requests.ts';

const anyKinds = fc.subarray<ToolKind>([...toolKindSchema.options]);

function toolboxWithout(without: readonly ToolKind[]): Toolbox {
  return { ...shippedToolbox, without: [...without] };
}

describe('a kit', () => {
  it('makes a box as long as something cuts and something scores, and else says what is missing', () => {
    fc.assert(
      fc.property(anyKinds, fc.constantFrom('inch' as const, 'mm' as const), (without, unit) => {
        const kit = kitFor(toolboxWithout(without), unit);
        const result = planBox({ ...usualRequest(sundial, unit), kit });
        const has = (kind: ToolKind) => !without.includes(kind);
        const cuts = has('trimmers') || has('rulers');
        const tip = has('trimmers') && kit.trimmer.scoringTip;
        const scores = has('boards') || tip || has('rulers');
        expect(cuttingMeans(kit) !== undefined).toBe(cuts);
        expect(scoringMeans(kit) !== undefined).toBe(scores);
        expect(result.ok).toBe(cuts && scores);
        if (result.ok) return;
        const messages = result.problems.map(({ message }) => message).join(' ');
        if (!cuts)
          expect(messages).toMatch(/^Cutting: nothing cuts the base and the lid to size\./);
        if (!scores) expect(messages).toMatch(/Scoring: nothing scores the folds of the base and/);
      }),
    );
  });

  it('tells each length on the marks that it is on, and what is on none of two rulers as about so much', () => {
    const count = fc.integer({ min: 1, max: 200 });
    fc.assert(
      fc.property(fc.constantFrom(...shippedKits), count, count, (kit, some, more) => {
        const [cut, score] = [kit.trimmer, kit.board];
        const [onCut, onScore] = [nanometres(some * cut.step), nanometres(more * score.pitch)];
        expect(readOnMarks(onCut, kit)).toEqual({ length: onCut, unit: cut.unit, isAbout: false });
        const read = readOnMarks(onScore, kit);
        expect([read.length, read.isAbout]).toEqual([onScore, false]);
        if (onScore % cut.step !== 0) expect(read.unit).toBe(score.unit);
        const between = nanometres(onCut + onScore);
        const rest = readOnMarks(between, kit);
        if (cut.unit === score.unit) expect(rest.length).toBe(between);
        else if (rest.isAbout) {
          // As fine as a ruler is read: half a millimetre, or 1/32 in.
          expect(Math.abs(rest.length - between)).toBeLessThanOrEqual(400_000);
          expect(between % cut.step === 0 || between % score.pitch === 0).toBe(false);
        } else expect(rest.length).toBe(between);
      }),
    );
  });

  it('that lacks a ruler is told so wherever a line is on no mark', () => {
    let missing = 0;
    fc.assert(
      fc.property(anyRequest, fc.constantFrom(...shippedKits), (request, kit) => {
        const asked = { ...request, kit: { ...kit, rulers: [] } };
        const result = planBox(asked);
        if (!result.ok) return;
        const isRuled = flatOf(result.plan, asked.kit).some(
          (each) =>
            each.kind === 'slanted score' ||
            ((each.kind === 'score' || each.kind === 'mark') && each.tool === 'ruler'),
        );
        const marks = verdictsOf(result.plan, asked).find(({ about }) => about === 'marks');
        expect(marks?.text.join('') === 'A ruler is missing').toBe(isRuled);
        if (isRuled) missing++;
      }),
    );
    expect(missing).toBeGreaterThanOrEqual(casesWanted(1));
  });

  it('takes the widest tape that leaves a little of the flap free', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1_000_000, max: 30_000_000 }), (narrow) => {
        const tape = tapeFor(nanometres(narrow), genericAdhesives);
        const widths = genericAdhesives.flatMap(({ width }) =>
          width === undefined ? [] : [width],
        );
        const fitting = widths.filter((width) => width + 2_000_000 <= narrow);
        expect(tape?.width).toBe(fitting.length === 0 ? undefined : Math.max(...fitting));
      }),
    );
  });

  it('has its rulers read where there is neither board nor trimmer', () => {
    const kit = kitFor(toolboxWithout(['boards', 'trimmers']), 'inch');
    const [ruler] = genericRulers;
    expect(cuttingMeans(kit)?.step).toBe(ruler?.step);
    const result = planBox({ ...usualRequest(sundial, 'inch'), kit });
    if (!result.ok) throw new Error('A ruler makes it');
    const tools = flatOf(result.plan, kit).flatMap((each) =>
      each.kind === 'score' ? [each.tool] : [],
    );
    expect(new Set(tools)).toEqual(new Set(['ruler']));
    expect(result.plan.offGrid).toBe(0);
  });
});

describe('a table of marks', () => {
  it('is taken when the marks grow from name to name and stay on the sheet, and else says which is wrong', () => {
    const [board] = genericCornerBoards;
    if (!board) throw new Error('A corner board is shipped');
    const mark = fc.record({
      name: fc.constantFrom('A', 'B', 'C', 'D', 'E', 'F'),
      at: fc.integer({ min: 5, max: 170 }).map((mm) => nanometres(mm * 1_000_000)),
    });
    fc.assert(
      fc.property(fc.array(mark, { minLength: 1, maxLength: 6 }), (marks) => {
        const isRight = marks.every(({ name, at }, i) => {
          const before = marks.slice(0, i);
          return (
            before.every((other) => other.name !== name && other.at < at) &&
            2 * at < board.largestSheet
          );
        });
        const faults = faultsInMarks(marks, board.largestSheet, 'inch');
        expect(faults.length === 0).toBe(isRight);
        expect(cornerBoardSchema.safeParse({ ...board, marks }).success).toBe(isRight);
        for (const { row, message } of faults) expect(message).toContain(`“${marks[row]?.name}”`);
      }),
    );
  });
});
