import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  commonSheets,
  lessonSchema,
  lessonsFrom,
  lessonsSchema,
  millimetres,
  noLessons,
  paperFor,
  paperSchema,
  papersSchema,
  stockPaper,
  stockPapers,
  taughtOf,
  withLessons,
  type Lessons,
  type Paper,
} from '../index.ts';
import { anyPaper } from '../testing/requests.ts';

/** Papers of a drawer that differ by their ids. */
const drawerOfPapers: fc.Arbitrary<readonly Paper[]> = fc
  .array(anyPaper, { minLength: 1, maxLength: 6 })
  .map((papers) => papers.map((paper, i) => ({ ...paper, id: `paper ${i}` })));

describe('the papers that Rangoli starts with', () => {
  it('can be stored, and are told apart by name, id and colour', () => {
    for (const paper of stockPapers) expect(paperSchema.parse(paper)).toEqual(paper);
    for (const part of ['id', 'name', 'colour'] as const)
      expect(new Set(stockPapers.map((paper) => paper[part])).size).toBe(stockPapers.length);
  });

  it('have a one-way print, another that may lie any way, and the usual card first', () => {
    expect(stockPapers.map(({ id }) => id)).toContain('star-trails');
    expect(stockPaper('star-trails')).toMatchObject({ print: 'one face', printRuns: 'one way' });
    expect(stockPaper('orbits')).toMatchObject({ print: 'one face', printRuns: 'any way' });
    expect(stockPaper('dusk')).toMatchObject({ print: 'plain', printRuns: 'any way' });
    expect(stockPaper('no such paper')).toBe(stockPapers[0]);
  });

  it('come in sheets that a maker can buy, each under its own size', () => {
    const inch = 25_400_000;
    for (const { name, width, height } of commonSheets) {
      const sizes = /^(\S.*) × (\S.*) in$/.exec(name);
      const read = (text = '') =>
        text.split(' ').reduce((sum, part) => {
          const [over = 0, under = 1] = part.split('/').map(Number);
          return sum + over / under;
        }, 0) * inch;
      if (sizes) expect([width, height]).toEqual([read(sizes[1]), read(sizes[2])]);
      expect(height).toBeGreaterThanOrEqual(width);
    }
    // Each A size is the next one folded in half, as near as a millimetre.
    const [a4, a3] = ['A4', 'A3'].map((size) => commonSheets.find(({ name }) => name === size));
    expect(a3?.width).toBe(a4?.height);
    expect(Math.abs((a3?.height ?? 0) - 2 * (a4?.width ?? 0))).toBeLessThanOrEqual(1_000_000);
  });
});

describe('a paper in a document', () => {
  const good = stockPaper('dusk');
  it.each([
    ['too thin to fold', { ...good, thickness: millimetres(0.04) }],
    ['thicker than any score', { ...good, thickness: millimetres(1.1) }],
    ['of a size that is no size', { ...good, sheet: { ...good.sheet, width: 0 } }],
    ['without a name', { ...good, name: '' }],
    ['in a colour that can’t be drawn', { ...good, colour: 'blue' }],
    [
      'with a range out of order',
      { ...good, gaps: { ...good.gaps, lid: { least: 3, target: 2, most: 4 } } },
    ],
    [
      'with a best gap above the most',
      { ...good, gaps: { ...good.gaps, drawer: { least: 1, target: 5, most: 4 } } },
    ],
  ])('is refused when it is %s', (_, paper) => {
    expect(paperSchema.safeParse(paper).success).toBe(false);
  });

  it('is one at least', () => {
    expect(papersSchema.safeParse([]).success).toBe(false);
    expect(papersSchema.parse([good])).toEqual([good]);
  });
});

describe('the paper of a piece', () => {
  it('is its own where there is one, else the last of them', () => {
    fc.assert(
      fc.property(drawerOfPapers, fc.nat(9), (papers, slot) => {
        const [first, ...rest] = papers;
        if (!first) return;
        const expected = papers[Math.min(slot, papers.length - 1)];
        expect(paperFor([first, ...rest], slot)).toBe(expected);
      }),
    );
  });
});

describe('what trial boxes have taught', () => {
  /** Papers before and after a trial box, with those that changed. */
  const trials = drawerOfPapers.chain((before) =>
    fc.record({
      before: fc.constant(before),
      after: fc.tuple(
        ...before.map((paper) =>
          fc.oneof(
            fc.constant(paper),
            anyPaper.map(({ thickness }) => ({ ...paper, thickness })),
            fc.constant({ ...paper, gaps: { ...paper.gaps, lid: paper.gaps.liner } }),
          ),
        ),
      ),
    }),
  );

  it('is kept for the papers that changed, and for no other', () => {
    fc.assert(
      fc.property(trials, ({ before, after }) => {
        const lessons = lessonsFrom(before, after, noLessons);
        expect(lessonsSchema.parse(lessons)).toEqual(lessons);
        const changed = after.filter(
          (paper, i) =>
            paper.thickness !== before[i]?.thickness ||
            paper.gaps.lid.most !== before[i].gaps.lid.most,
        );
        expect(lessons.papers.map(({ id }) => id)).toEqual(changed.map(({ id }) => id));
        // A paper from the drawer is then as the trial left it.
        before.forEach((paper, i) => {
          expect(withLessons(paper, lessons)).toEqual(after[i]);
        });
      }),
    );
  });

  it('stays where a later trial of the paper teaches something else, and others stay whole', () => {
    fc.assert(
      fc.property(trials, trials, (first, second) => {
        const early = lessonsFrom(first.before, first.after, noLessons);
        const late = lessonsFrom(second.before, second.after, early);
        const ids = late.papers.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        const fresh = new Map(
          lessonsFrom(second.before, second.after, noLessons).papers.map((each) => [each.id, each]),
        );
        for (const { id, thickness, gaps } of early.papers) {
          const kept = late.papers.find((each) => each.id === id);
          const newer = fresh.get(id);
          expect(kept?.thickness).toBe(newer?.thickness ?? thickness);
          expect(kept?.gaps.lid).toEqual(newer?.gaps.lid ?? gaps.lid);
        }
      }),
    );
  });

  it('can be forgotten, part by part, and says nothing of what is as it was', () => {
    fc.assert(
      fc.property(trials, ({ before, after }) => {
        const lessons = lessonsFrom(before, after, noLessons);
        before.forEach((paper, i) => {
          const lesson = lessons.papers.find(({ id }) => id === paper.id);
          const taught = taughtOf(paper, lesson);
          expect(withLessons(paper, { version: 1, papers: [taught] })).toEqual(after[i]);
          expect(taught.thickness).not.toBe(paper.thickness);
          const thin: Lessons = { version: 1, papers: [{ id: paper.id, gaps: taught.gaps }] };
          expect(withLessons(paper, thin).thickness).toBe(paper.thickness);
          const nothing: Lessons = { version: 1, papers: [{ id: paper.id, gaps: {} }] };
          expect(withLessons(paper, nothing)).toEqual(paper);
          // A lesson of before parts could be forgotten held everything.
          const whole = { id: paper.id, thickness: paper.thickness, gaps: paper.gaps };
          expect(taughtOf(paper, lessonSchema.parse(whole))).toEqual({ id: paper.id, gaps: {} });
        });
      }),
    );
  });

  it('teaches nothing where another paper was laid in', () => {
    const dusk = stockPaper('dusk');
    const other = { ...stockPaper('comet'), thickness: millimetres(0.5) };
    expect(lessonsFrom([dusk], [other], noLessons)).toEqual(noLessons);
  });
});
