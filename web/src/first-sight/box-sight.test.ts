// @vitest-environment node
import {
  allStyles,
  cutListEntry,
  cutSizeOf,
  cutUnit,
  formatLength,
  millimetres,
  newProject,
  paperFor,
  papersOf,
  planBox,
  type PlanRequest,
  type ProjectDocument,
} from '@rangoli/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyBox } from '../testing/any-box.ts';
import { inOneWord, readHtml } from '../testing/read-html.ts';
import { renderBoxSight } from './box-sight.ts';

function documentOf(box: PlanRequest): ProjectDocument {
  return { ...newProject('inch'), name: 'Sundial & dial', box };
}

describe('what is seen of a box first', () => {
  it('tells each piece’s cut size and number, and the marks of the first', async () => {
    await fc.assert(
      fc.asyncProperty(anyBox, async ({ plan, request }) => {
        const html = await renderBoxSight({ id: 'x', document: documentOf(request) });
        const read = readHtml(html ?? '');
        const unit = cutUnit(request.kit);
        expect(read).toContain('Sundial&amp;dial');
        for (const piece of plan.pieces) {
          const { width, height } = cutSizeOf(piece.grid);
          expect(read).toContain(
            inOneWord(`${formatLength(width, unit)}×${formatLength(height, unit)}`) +
              (unit === 'inch' ? 'in' : 'mm') +
              `,cut${String(piece.copies)}`,
          );
        }
        const [first] = plan.pieces;
        if (!first) return;
        const paper = paperFor(papersOf(request), first.paper);
        for (const strip of cutListEntry(plan, first, paper, request.kit).strips)
          for (const { reading } of strip.marks)
            expect(read).toContain(inOneWord(formatLength(reading, strip.unit)));
      }),
      { numRuns: 25 },
    );
  });

  it('is there for each kind of box as it usually is', async () => {
    for (const { usual } of allStyles) {
      const { box } = newProject('mm');
      const request = { ...box, style: usual };
      const html = await renderBoxSight({ id: 'x', document: documentOf(request) });
      expect(html !== undefined, usual.style).toBe(planBox(request).ok);
    }
  });

  it('is none where the box can’t be made, or its figures must not be read without a note', async () => {
    const { box } = newProject('inch');
    const small = millimetres(40);
    const [paper, ...others] = box.papers;
    const sheet = { ...paper.sheet, width: small, height: small };
    const tooSmall: PlanRequest = { ...box, papers: [{ ...paper, sheet }, ...others] };
    expect(planBox(tooSmall).ok).toBe(false);
    const planned = planBox(box);
    const base = planned.ok ? planned.plan.pieces.find(({ id }) => id === 'base') : undefined;
    if (!base) throw new Error('A new box has a base');
    const cut = cutSizeOf(base.grid).width;
    const begun = { ...box, made: [{ piece: 'base', way: 'across' as const, cut, marks: [] }] };
    expect(planBox(begun).ok).toBe(true);
    for (const document of [
      documentOf(tooSmall),
      { ...documentOf(box), basis: { name: 'Sundial', box } },
      documentOf(begun),
    ])
      expect(await renderBoxSight({ id: 'x', document })).toBeUndefined();
  });

  it('throws where what is stored is no box', async () => {
    await expect(renderBoxSight({ id: 'x', document: { name: 'Sundial' } })).rejects.toThrow();
  });
});
