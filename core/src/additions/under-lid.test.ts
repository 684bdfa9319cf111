import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  closedFaces,
  millimetres,
  planBox,
  stockPaper,
  waysOut,
  withOption,
  type AdditionChoice,
  type Gift,
  type Paper,
  type PlanRequest,
} from '../index.ts';
import { banded } from '../testing/banded.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { anyPaper, tableRequestsIn, usualOf } from '../testing/requests.ts';
import { faultsInWords, toldSteps } from '../testing/told.ts';

/** Panels on the walls of the base that end below the lid, each layer so many millimetres in from the one under it. */
function panels(margins: readonly number[], paper: Paper): AdditionChoice {
  return {
    addition: 'panel',
    id: 'panel-1',
    on: { which: 'walls', piece: 'base' },
    layers: margins.map((margin) => ({ margin: millimetres(margin), paper })),
    underCover: 'ends',
  };
}

describe('a band under the lid', () => {
  it('goes round the base, is seen below the lid, and the lid goes on over it', () => {
    const lidded = allStyles.filter(({ id }) =>
      ['lidded', 'tall-box', 'rolled-rim', 'tower'].includes(id),
    );
    let boxes = 0;
    fc.assert(
      fc.property(
        fc.oneof(...lidded.map(tableRequestsIn)),
        anyPaper,
        fc.integer({ min: 8, max: 40 }),
        fc.array(fc.integer({ min: 1, max: 15 }), { maxLength: 2 }),
        (request, paper, width, margins) => {
          const card = { ...paper, sheet: request.papers[0].sheet };
          const bare = { ...request, additions: margins.length > 0 ? [panels(margins, card)] : [] };
          const asked = banded(bare, 'under lid', width, card);
          const result = planBox(asked);
          if (!result.ok) return;
          const { plan } = result;
          boxes++;
          expect(faultsInSpace(plan, asked)).toEqual([]);
          const faces = closedFaces(boxInSpace(plan, asked));
          const lowest = (of: typeof faces) =>
            Math.min(...of.flatMap(({ ring }) => ring.map(({ z }) => z)));
          const bands = plan.assembly.parts.filter(({ wraps }) => wraps === 'under lid');
          const isBand = (part: string) => bands.some(({ id }) => id === part);
          const lids = plan.pairs.flatMap(({ kind, outer }) => (kind === 'lid' ? [outer] : []));
          const pieces = new Map(plan.assembly.parts.map(({ id, piece }) => [id, piece]));
          const lid = faces.filter(({ part }) => lids.includes(pieces.get(part) ?? ''));
          expect(bands.length).toBeGreaterThan(0);
          expect(lowest(faces.filter(({ part }) => isBand(part)))).toBeLessThan(lowest(lid));
          // It is on before the lid, which is no wider without it.
          const joins = (of: (part: string, piece: string) => boolean) =>
            plan.assembly.parts.flatMap((part) =>
              of(part.id, part.piece) && !part.worn ? [part.joins] : [],
            );
          expect(Math.max(...joins(isBand))).toBeLessThan(
            Math.min(...joins((_, piece) => lids.includes(piece))),
          );
        },
      ),
      { numRuns: 90 },
    );
    expect(boxes).toBeGreaterThan(10);
  });

  it('makes the lid larger by its card, and is told before the lid is put on', () => {
    const usual = usualOf('lidded');
    const request = banded(usual, 'under lid', 10);
    const [bare, result] = [planBox(usual), planBox(request)];
    if (!bare.ok || !result.ok) throw new Error('No box');
    const lidOf = ({ pieces }: typeof result.plan) =>
      pieces.find(({ id }) => id === 'lid')?.grid.columns[1] ?? 0;
    const card = stockPaper('comet').thickness;
    expect(lidOf(result.plan) - lidOf(bare.plan)).toBeGreaterThan(3 * card);
    expect(faultsInWords(result.plan, request, 1, () => 0)).toEqual([]);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    const at = (part: string) => told.findIndex((text) => text.includes(part));
    const closing = told[at('Slide the band over the base from above, to half its height.')] ?? '';
    expect(closing.indexOf('Slide the lid over the base.')).toBeGreaterThan(
      closing.indexOf('Slide the band over the base'),
    );
    // The base without its band is no measure of the lid.
    expect(at('over the finished base')).toBe(-1);
  });

  it('makes the lid larger by the layers that it lies on, and not at all where the lid ends above it', () => {
    const jar: Gift = {
      shape: 'block',
      across: millimetres(40),
      deep: millimetres(40),
      high: millimetres(60),
    };
    const withLid = (lidDepth: 'shallow' | 'half') => {
      const usual = usualOf('lidded', jar);
      return { ...usual, style: withOption(usual.style, 'lidDepth', lidDepth) };
    };
    const lidOf = (request: PlanRequest) => {
      const result = planBox(request);
      if (!result.ok) throw new Error('No box');
      expect(faultsInSpace(result.plan, request)).toEqual([]);
      return result.plan.pieces.find(({ id }) => id === 'lid')?.grid.columns[1] ?? 0;
    };
    const shallow = withLid('shallow');
    expect(lidOf(banded(shallow, 'under lid', 10))).toBe(lidOf(shallow));
    expect(lidOf(banded(shallow, 'under lid', 50))).toBeGreaterThan(lidOf(shallow));

    const half = withLid('half');
    const card = { ...stockPaper('comet'), thickness: millimetres(0.8) };
    const lidOver = (...margins: readonly number[]) => {
      return lidOf(banded({ ...half, additions: [panels(margins, card)] }, 'under lid', 10));
    };
    const alone = lidOf(banded(half, 'under lid', 10));
    expect(lidOver(10)).toBe(alone);
    expect(lidOver(1, 7) - alone).toBeGreaterThan(1.5 * card.thickness);
    expect(lidOver(1, 1) - lidOver(1, 7)).toBeGreaterThan(1.5 * card.thickness);
  });

  it.each([
    ['mailer', 'no lid that comes off'],
    ['petal-top', 'no lid that comes off'],
  ])('is refused on a %s, with the ways that it would go', (style, why) => {
    const request = banded(usualOf(style), 'under lid', 10);
    const result = planBox(request);
    if (result.ok) throw new Error('It was not refused');
    expect(result.problems[0]?.field).toBe('additions.0.round');
    expect(result.problems[0]?.message).toContain(why);
    const others = waysOut(request, result.problems).filter(
      (way) => way.kind === 'dress' && way.said.startsWith('The band'),
    );
    expect(others.length).toBeGreaterThan(0);
  });
});
