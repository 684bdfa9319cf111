// @vitest-environment node
import {
  cutSizeOf,
  cutUnit,
  extentsOf,
  formatLength,
  millimetres,
  newProject,
  planBox,
  stockPaper,
  type Length,
  type PlanRequest,
  type ProjectDocument,
  type Unit,
} from '@rangoli/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyBox, holes } from '../testing/any-box.ts';
import { inOneWord, readHtml } from '../testing/read-html.ts';
import { renderCardSight, renderShelfSight } from './shelf-sight.ts';

const contents = { kinds: [], papers: [] };

/** Any kind of box, of printed papers: what draws a print has a name in the page. */
const anyPrintedBox = anyBox
  .map(({ request }) => {
    const [first, ...others] = request.papers.map((paper) => ({
      ...paper,
      print: 'one face' as const,
      front: stockPaper('star-trails').front,
    }));
    const papers: PlanRequest['papers'] = [first ?? request.papers[0], ...others];
    const printed = { ...request, papers };
    const planned = planBox(printed);
    return planned.ok ? { request: printed, plan: planned.plan } : undefined;
  })
  .filter((box) => box !== undefined);

function documentOf(name: string, box: ProjectDocument['box']): ProjectDocument {
  return { ...newProject('inch'), name, box };
}

/** Figures say their unit each or once for all: what is compared is read without. */
function withoutUnits(text: string): string {
  return inOneWord(text).replaceAll(/mm|in/g, '');
}

/** A size as it is read, without its unit. */
function readSize(lengths: readonly Length[], unit: Unit): string {
  return withoutUnits(lengths.map((each) => formatLength(each, unit)).join('×'));
}

describe('the shelf as it is seen first', () => {
  it('tells what each box holds at once, and what is cut of those that are drawn', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyPrintedBox, { minLength: 1, maxLength: 4 }), async (boxes) => {
        const stored = boxes.map(({ request }, i) => ({
          id: `box-${String(i)}`,
          document: documentOf(`Dial & ${String(i)}`, request),
        }));
        const cards = await Promise.all(stored.map((box) => renderCardSight(box)));
        // Every other one is drawn already.
        const isDrawn = (i: number) => i % 2 === 1;
        const html = await renderShelfSight({
          boxes: stored.map((box, i) => (isDrawn(i) ? { ...box, html: cards[i] } : box)),
          total: 500,
          contents,
        });
        expect(readHtml(html).replaceAll('|', '')).toContain('Shelf500boxes');
        expect(html).not.toMatch(holes);
        const seen = html.split('<li ').slice(1);
        expect(seen).toHaveLength(boxes.length);
        boxes.forEach(({ plan, request }, i) => {
          const card = seen[i] ?? '';
          const read = withoutUnits(readHtml(card));
          expect(card).toContain(`href="/box/box-${String(i)}"`);
          expect(read).toContain(`Dial&amp;${String(i)}`);
          const { across, deep, high } = extentsOf(request.gift);
          expect(read).toContain(`holds${readSize([across, deep, high], request.unit)}`);
          expect(card.includes('<svg')).toBe(isDrawn(i));
          expect(card.includes('<pattern')).toBe(isDrawn(i));
          for (const { name, grid } of isDrawn(i) ? plan.pieces : []) {
            const { width, height } = cutSizeOf(grid);
            const size = readSize([width, height], cutUnit(request.kit));
            expect(read).toContain(withoutUnits(name) + size);
          }
        });
        // No two elements have one name.
        const ids = [...html.matchAll(/ id="([^"]*)"/g)].map(([, id]) => id);
        expect(new Set(ids).size).toBe(ids.length);
      }),
      { numRuns: 12 },
    );
  });

  it('says of a box that can’t be made why', async () => {
    const { box } = newProject('inch');
    const small = millimetres(40);
    const [paper, ...others] = box.papers;
    const sheet = { ...paper.sheet, width: small, height: small };
    const tooSmall: ProjectDocument['box'] = { ...box, papers: [{ ...paper, sheet }, ...others] };
    const planned = planBox(tooSmall);
    if (planned.ok) throw new Error('The sheet is too small');
    const card = await renderCardSight({ id: 'x', document: documentOf('Dial', tooSmall) });
    expect(readHtml(card)).toContain(inOneWord(planned.problems[0]?.message ?? 'nothing'));
  });

  it('throws where what is stored is no box', async () => {
    const broken = { id: 'x', document: { name: 'Sundial' } };
    await expect(renderCardSight(broken)).rejects.toThrow();
    await expect(renderShelfSight({ boxes: [broken], total: 1, contents })).rejects.toThrow();
  });
});
