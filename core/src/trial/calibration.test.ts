import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  insideLesson,
  judgeGap,
  learnedGap,
  lessonOf,
  lessonsFrom,
  madeAsPlanned,
  millimetres,
  nanometres,
  noLessons,
  papersSchema,
  planBox,
  planWithLessRoom,
  taughtPairs,
  usualRequest,
  withLessons,
  type Felt,
} from '../index.ts';
import { anyRequest, sundial } from '../testing/requests.ts';

const felt = fc.constantFrom<Felt>('too tight', 'just right', 'too loose');
const some = fc.integer({ min: 0, max: 3_000_000 });
const range = fc.tuple(some, some, some).map((values) => {
  const [least = 0, target = 0, most = 0] = [...values].sort((a, b) => a - b);
  return { least: nanometres(least), target: nanometres(target), most: nanometres(most) };
});
const came = fc.integer({ min: -1_000_000, max: 4_000_000 }).map(nanometres);

describe('a trial box', () => {
  it('moves the range off what felt wrong, and onto what felt right', () => {
    fc.assert(
      fc.property(range, came, felt, (before, gap, how) => {
        const now = learnedGap(before, gap, how);
        expect(now.least).toBeGreaterThanOrEqual(0);
        expect(now.least).toBeLessThanOrEqual(now.target);
        expect(now.target).toBeLessThanOrEqual(now.most);
        if (how === 'too tight') expect(judgeGap(gap, now)).toBe('tight');
        if (how === 'just right' && gap >= 0) expect(now.target).toBe(gap);
        if (how === 'too loose' && gap > millimetres(0.2)) expect(judgeGap(gap, now)).toBe('loose');
        // Said twice, it says no more than once.
        expect(learnedGap(now, gap, how)).toEqual(now);
      }),
    );
  });

  it('finds the thickness that card has from the inside that it makes', () => {
    fc.assert(
      fc.property(anyRequest, fc.double({ min: 0.75, max: 1.3, noNaN: true }), (request, share) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const [first] = request.papers;
        const real = nanometres(Math.round(first.thickness * share));
        if (real < millimetres(0.1) || real > millimetres(1.2)) return;
        // The same pieces in the card as it really is, measured.
        const made = plan.pieces.flatMap((piece) =>
          (['across', 'down'] as const).map((way) => madeAsPlanned(plan, piece, way, () => true)),
        );
        const holder = plan.pieces.find(({ id }) => id === plan.assembly.parts[0]?.piece);
        if (holder?.paper !== 0) return;
        const [, ...others] = request.papers;
        const { result: really } = planWithLessRoom({
          ...request,
          papers: [{ ...first, thickness: real }, ...others],
          made,
        });
        if (!really.ok) return;
        const lesson = insideLesson(plan, request, really.plan.clearInside);
        if (!lesson) {
          // It says nothing only where the card makes less of a difference than a ruler shows.
          for (const direction of ['across', 'deep', 'high'] as const)
            expect(
              Math.abs(really.plan.clearInside[direction] - plan.clearInside[direction]),
            ).toBeLessThan(millimetres(0.05));
          return;
        }
        expect(lesson.sentence).toMatch(/^[A-Z].*\.$/);
        const learned = lesson.papers[0].thickness;
        expect(Math.abs(learned - real)).toBeLessThan(millimetres(0.02));
      }),
      { numRuns: 150 },
    );
  });

  it('teaches the lid’s own paper, says so, and the next lid is another one', () => {
    const request = usualRequest(sundial, 'inch');
    const result = planBox(request);
    if (!result.ok) throw new Error('The sundial has a box');
    const [lid] = taughtPairs(result.plan);
    if (!lid) throw new Error('It has a lid');
    for (const how of ['too tight', 'too loose'] as const) {
      const { papers, sentence } = lessonOf(result.plan, request, lid, how);
      expect(papersSchema.safeParse(papers).success).toBe(true);
      expect(papers[0]).toEqual(request.papers[0]);
      expect(sentence).toMatch(
        new RegExp(`^Lids of Sodium are now planned to clear by .* came out ${how}\\.$`),
      );
      const again = planBox({ ...request, papers });
      const [next] = again.ok ? taughtPairs(again.plan) : [];
      if (how === 'too tight') expect(next?.gap).toBeGreaterThan(lid.gap);
      // Where these marks allow none that is closer, the box says that it is loose.
      else if (next?.gap === lid.gap) expect(next.state).toBe('loose');
      else expect(next?.gap).toBeLessThan(lid.gap);
    }
    // What is learned is for every box of that paper to come.
    const taught = lessonOf(result.plan, request, lid, 'too loose').papers;
    const lessons = lessonsFrom(request.papers, taught, noLessons);
    expect(lessons.papers.map(({ id }) => id)).toEqual(['sodium']);
    expect(request.papers.map((paper) => withLessons(paper, lessons))).toEqual(taught);
    const { papers, sentence } = lessonOf(result.plan, request, lid, 'just right');
    expect(papers[1]?.gaps.lid.target).toBe(lid.gap);
    expect(sentence).toMatch(/came out just right/);
  });
});
