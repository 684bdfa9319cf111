import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isOnGrid,
  inchFraction,
  longestName,
  millimetres,
  newProject,
  planBox,
  planRequestSchema,
  projectDocumentSchema,
  usualKit,
  usualRequest,
} from '../index.ts';
import { anyGift, anyRequest, sundial } from '../testing/requests.ts';

describe('a request', () => {
  it('is the same after it has been stored and read', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        expect(planRequestSchema.parse(JSON.parse(JSON.stringify(request)))).toEqual(request);
      }),
    );
  });

  it('of former days has nothing made', () => {
    const { made, ...before } = usualRequest(sundial, 'inch');
    expect(made).toEqual([]);
    expect(planRequestSchema.parse(before).made).toEqual([]);
  });

  it('keeps what is made already, each mark by its number', () => {
    const piece = {
      piece: 'base',
      way: 'across' as const,
      cut: millimetres(95),
      marks: [{ mark: 1, at: millimetres(16) }],
    };
    const request = { ...usualRequest(sundial, 'mm'), made: [piece] };
    expect(planRequestSchema.parse(request).made).toEqual([piece]);
    for (const wrong of [
      { ...piece, way: 'askew' },
      { ...piece, marks: [{ mark: 0, at: millimetres(16) }] },
      { ...piece, cut: 0.5 },
    ])
      expect(planRequestSchema.safeParse({ ...request, made: [wrong] }).success).toBe(false);
  });
});

describe('the usual answers', () => {
  it.each(['inch', 'mm'] as const)('in %s are on the tools and the rulers of that unit', (unit) => {
    fc.assert(
      fc.property(anyGift, (gift) => {
        const request = usualRequest(gift, unit);
        expect(planRequestSchema.parse(request)).toEqual(request);
        const { kit, room } = request;
        expect(kit).toEqual(usualKit(unit));
        expect([kit.board.unit, kit.trimmer.unit]).toEqual([unit, unit]);
        const step = unit === 'inch' ? inchFraction(1, 64) : millimetres(0.1);
        for (const way of [room.across, room.deep, room.high]) {
          expect(isOnGrid(way.target, step)).toBe(true);
          // An easy fit: about 2.4 mm, of which half must be left.
          expect(Math.abs(way.target - 2_400_000)).toBeLessThanOrEqual(step);
          expect(Math.abs(way.floor * 2 - way.target)).toBeLessThanOrEqual(1);
        }
      }),
      { numRuns: 20 },
    );
  });

  it.each(['inch', 'mm'] as const)('of a new box in %s make a box that holds', (unit) => {
    const { name, box, version } = newProject(unit);
    expect([version, name, box.unit]).toEqual([1, 'New box', unit]);
    expect(projectDocumentSchema.parse(newProject(unit))).toEqual(newProject(unit));
    const result = planBox(box);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    expect(result.plan.pairs.map(({ state }) => state)).not.toContain('tight');
    expect(result.plan.offGrid).toBe(0);
  });
});

describe('the name of a project', () => {
  it('loses the blanks around it, and is never empty or too long', () => {
    const document = newProject('mm');
    fc.assert(
      fc.property(fc.string({ maxLength: 120 }), (name) => {
        const parsed = projectDocumentSchema.safeParse({ ...document, name });
        const kept = name.trim();
        expect(parsed.success).toBe(kept.length > 0 && kept.length <= longestName);
        if (parsed.success) expect(parsed.data.name).toBe(kept);
      }),
    );
  });
});
