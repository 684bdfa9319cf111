import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  evenRoom,
  millimetres,
  planBox,
  planJob,
  sayStep,
  secondsToMake,
  usualRequest,
  type AssemblyOperation,
  type Job,
  type LidCorners,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { anyRequest, extremeRequestsIn, requestsIn, sundial } from '../testing/requests.ts';

const anyCorners = fc.constantFrom<LidCorners>('round the base', 'all at once');
const boxes = fc.integer({ min: 1, max: 60 });

function jobsOf(check: (plan: Plan, job: Job, corners: LidCorners) => void, numRuns = 100): void {
  fc.assert(
    fc.property(anyRequest, boxes, anyCorners, (request, count, corners) => {
      const result = planBox(request);
      if (!result.ok) return;
      check(result.plan, planJob(result.plan, request, { boxes: count, corners }), corners);
    }),
    { numRuns },
  );
}

function assembled(job: Job): readonly AssemblyOperation[] {
  return job.steps.flatMap((step) => (step.kind === 'assembly' ? step.operations : []));
}

describe('a job', () => {
  it('does every piece of every box, flat before it is folded, and ends when the box is closed', () => {
    jobsOf((plan, job) => {
      expect(new Set(job.steps.map(({ id }) => id)).size).toBe(job.steps.length);
      const kinds = job.steps.map(({ kind }) => kind).join(' ');
      expect(kinds).toMatch(/^(cut )*(flat )*(assembly ?)+$/);
      for (const step of job.steps) {
        if (step.kind !== 'flat') continue;
        const piece = plan.pieces.find(({ id }) => id === step.piece);
        expect(step.copies).toBe((piece?.copies ?? 0) * job.boxes);
      }
      const all = assembled(job);
      expect(all.filter(({ kind }) => kind === 'put in')).toHaveLength(1);
      // What is punched for a ribbon gets its ribbon: a pull while its wall is flat, the rest when all is in.
      const uses = plan.pieces.flatMap(({ grid }) => grid.cutouts.map(({ use }) => use));
      const order = all.map(({ kind }) => kind);
      for (const what of ['ribbon pull', 'ribbon', 'wire', 'brad', 'tongue'] as const) {
        const at = all.findIndex((each) => each.kind === 'thread' && each.what === what);
        expect(at >= 0).toBe(uses.includes(what));
        if (at < 0) continue;
        const [gift, glue] = [order.indexOf('put in'), order.indexOf('glue')];
        if (what === 'ribbon pull') expect(glue < 0 || at < glue).toBe(true);
        else expect(what === 'wire' ? at < gift : at > gift).toBe(true);
      }
    });
  });

  it('is planned and told for every box that is planned, at every extreme', () => {
    for (const style of allStyles)
      fc.assert(
        fc.property(extremeRequestsIn([style]), (request) => {
          const result = planBox(request);
          if (!result.ok) return;
          const job = planJob(result.plan, request, { boxes: 3 });
          for (const step of job.steps)
            expect(sayStep(step, { job, box: result.plan, kit: request.kit }).text).not.toBe('');
        }),
        { numRuns: 30 },
      );
  });

  it('has a place for every tab, however high a narrow box is', () => {
    const hinged = allStyles.find(({ id }) => id === 'hinged-lid');
    if (!hinged) throw new Error('There is a hinged lid');
    const sheet = { name: 'A metre', width: millimetres(1000), height: millimetres(1000) };
    const narrow = fc.record({
      across: fc.integer({ min: 8, max: 20 }).map(millimetres),
      deep: fc.integer({ min: 5, max: 10 }).map(millimetres),
      high: fc.integer({ min: 300, max: 420 }).map(millimetres),
    });
    fc.assert(
      fc.property(requestsIn([hinged]), narrow, (usual, gift) => {
        const request: PlanRequest = {
          ...usual,
          gift: { shape: 'block', ...gift },
          room: evenRoom(millimetres(0.5)),
          papers: [{ ...usual.papers[0], thickness: millimetres(0.1), sheet }],
        };
        const result = planBox(request);
        if (result.ok)
          expect(planJob(result.plan, request, { boxes: 1 }).steps.length).toBeGreaterThan(0);
      }),
      { numRuns: 200 },
    );
  });

  it('glues every face that is glued, once, and brings every piece to the others', () => {
    jobsOf((plan, job, corners) => {
      const { stacks, parts } = plan.assembly;
      const pieceOf = new Map(parts.map(({ id, piece }) => [id, piece]));
      const firsts = new Set(
        plan.pieces.map(({ id }) => parts.find(({ piece }) => piece === id)?.id),
      );
      const all = assembled(job);
      const glued = all.flatMap((each) =>
        each.kind === 'glue' ? each.faces.map(({ at }) => `${each.piece} ${at}`) : [],
      );
      expect(new Set(glued).size).toBe(glued.length);
      const spots = new Set(
        stacks
          .filter(({ face, on, holds }) => holds === 'glue' && face.part === on.part)
          .filter(({ face }) => firsts.has(face.part))
          .map(({ face: { part, spot } }) => `${part} ${spot.column} ${spot.row}`),
      );
      expect(glued.length).toBe(spots.size);
      const between = stacks.filter(
        ({ face, on, holds }) => holds === 'glue' && face.part !== on.part,
      );
      const attached = all.flatMap((each) => (each.kind === 'attach' ? each.joints : []));
      expect(attached.length).toBe(between.length);
      const joined = all.flatMap((each) => {
        if (each.kind === 'join') return [each.piece];
        return each.kind === 'attach' ? [each.piece, each.onto] : [];
      });
      const [first] = parts;
      expect(new Set([first?.piece, ...joined])).toEqual(new Set(pieceOf.values()));
      const rounds = all.filter((each) => each.kind === 'glue' && each.round !== undefined);
      if (corners === 'all at once') expect(rounds).toEqual([]);
    });
  });

  it('glues pieces to one another before the gift is in, and the inner one first', () => {
    jobsOf((_, job) => {
      const all = assembled(job);
      const gift = all.findIndex(({ kind }) => kind === 'put in');
      all.forEach((each, at) => {
        if (each.kind === 'attach') expect(at).toBeLessThan(gift);
        if (each.kind !== 'glue' || each.round === undefined) return;
        // Whatever a lid is glued round is finished by then.
        const { round } = each;
        const later = all
          .slice(at)
          .filter((other) => other.piece === round && other.kind === 'glue');
        expect(later).toEqual([]);
      });
    });
  });

  it('takes as long as Compare says', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const job = planJob(plan, request, { boxes: 1 });
        const inAll = job.steps.reduce((sum, { copies, seconds }) => sum + copies * seconds, 0);
        expect(secondsToMake(plan, request)).toBeCloseTo(inAll, 6);
      }),
      { numRuns: 100 },
    );
  });

  it('is said as at the table', () => {
    const request = usualRequest(sundial, 'inch');
    const result = planBox(request);
    if (!result.ok) throw new Error('The sundial has a box');
    const { plan } = result;
    const job = planJob(plan, request, { boxes: 6 });
    const told = job.steps.map((step) => sayStep(step, { job, box: plan, kit: request.kit }));
    expect(told.map(({ line }) => line)).toEqual([
      'Dusk: two strips at 3 3/4 in',
      'Sodium: two strips at 3 9/16 in',
      'Sodium: six lids at 3 9/16 in',
      'Dusk: six bases at 3 3/4 in',
      'Base: 5/8 and 3 1/8, two sides',
      'Lid: 1/2, all four sides',
      'Base: four slits, taper four tabs',
      'Lid: four slits, taper four tabs',
      'Base: fold and burnish',
      'Lid: fold and burnish',
      'Base: glue four tabs',
      'Lid: glue four tabs, the last two round the base',
      'Gift in, close the box',
    ]);
    expect(told.at(4)?.text).toBe(
      'Base, inside up, against the left fence. Score at 5/8 and 3 1/8 in. Turn it a quarter clockwise and do the same.',
    );
  });
});
