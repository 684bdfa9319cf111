import {
  allStyles,
  formatLength,
  planRequestSchema,
  roundToGrid,
  inchFraction,
  millimetres,
  usualRequest,
  type PlanRequest,
} from '@rangoli/core';
import { requestsIn } from '@rangoli/core/testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { completeRequest } from './short-request.ts';

type Json = Record<string, unknown>;

/** A document as it comes out of a file. */
function written(document: unknown): Json {
  const copy: unknown = JSON.parse(JSON.stringify(document));
  if (typeof copy !== 'object' || copy === null) throw new Error('A document was meant');
  return { ...copy };
}

function requestOf(document: unknown): PlanRequest {
  const completed = completeRequest(written(document));
  if (!completed.ok) throw new Error(completed.problems.map(({ message }) => message).join(' '));
  return completed.request;
}

/** Every object in a document, by its path. */
function objectsIn(value: unknown, path: readonly string[] = []): readonly (readonly string[])[] {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return [];
  return [path, ...Object.entries(value).flatMap(([key, each]) => objectsIn(each, [...path, key]))];
}

/** The document with a key of one of its objects misspelt. */
function misspelt(document: Json, [first, ...rest]: readonly string[], key: string): Json {
  if (first === undefined) {
    const { [key]: value, ...others } = document;
    return { ...others, [`${key}s`]: value };
  }
  return { ...document, [first]: misspelt(written(document[first]), rest, key) };
}

describe('a short request', () => {
  it('is a whole one as it is, and less of it is the same where the rest is usual', () => {
    fc.assert(
      fc.property(requestsIn(allStyles), (request) => {
        expect(requestOf(request)).toEqual(request);
        const usual = usualRequest(request.gift, request.unit);
        const { gift, unit, style, papers, kit } = request;
        expect(requestOf({ gift, unit })).toEqual(usual);
        // What stands there counts, whatever is left out beside it.
        const { style: name } = style;
        const summary = allStyles.find(({ id }) => id === name);
        expect(requestOf({ gift, unit, style: name }).style).toEqual(summary?.usual);
        const [option] = Object.entries<unknown>({ ...style.options });
        const options = option ? Object.fromEntries([option]) : {};
        expect(requestOf({ gift, unit, style: { style: name, options } }).style).toEqual({
          style: name,
          options: { ...summary?.usual.options, ...options },
        });
        const [{ thickness }] = papers;
        const thin = requestOf({ gift, unit, papers: [{ thickness }] }).papers;
        expect(thin).toEqual([{ ...usual.papers[0], thickness }]);
        const { board } = kit;
        expect(requestOf({ gift, unit, kit: { board } }).kit).toEqual({ ...usual.kit, board });
      }),
      { numRuns: 60 },
    );
  });

  it('takes lengths as they are written in its unit', () => {
    const ways = { mm: millimetres(0.1), inch: inchFraction(1, 32) } as const;
    const measure = fc.integer({ min: 10, max: 120 }).map(millimetres);
    fc.assert(
      fc.property(
        fc.constantFrom('mm' as const, 'inch' as const),
        measure,
        measure,
        (unit, a, b) => {
          const [across, deep] = [a, b].map((each) => roundToGrid(each, ways[unit]));
          const said = (length = millimetres(10)) => formatLength(length, unit);
          const { gift, room } = requestOf({
            unit,
            gift: { across: said(across), deep: said(deep), high: said() },
            room: { high: said() },
          });
          expect(gift).toMatchObject({ shape: 'block', across, deep });
          expect(room.high.floor * 2).toBe(room.high.target);
        },
      ),
    );
  });

  it('reads no key over: one that nobody knows is refused, with the name that it is like', () => {
    fc.assert(
      fc.property(requestsIn(allStyles), fc.nat(), fc.nat(), (request, one, other) => {
        const document = written(request);
        const objects = objectsIn(document).filter((path) => path[0] !== 'gift');
        const path = objects[one % objects.length] ?? [];
        const inside = path.reduce<unknown>((value, key) => written(value)[key], document);
        const keys = Object.keys(written(inside));
        const key = keys[other % keys.length];
        if (key === undefined) return;
        const completed = completeRequest(misspelt(document, path, key));
        expect(completed.ok).toBe(false);
        if (completed.ok) return;
        const said = completed.problems
          .map(({ field, message }) => `${field}: ${message}`)
          .join(' ');
        // Where the key itself is needed, it is missed by its name; else the one that was written is named.
        expect(said).toContain(key);
      }),
      { numRuns: 200 },
    );
    const ball = { diameter: 30e6, shape: 'ball' };
    expect(completeRequest({ gift: ball, style: 'lided' })).toEqual({
      ok: false,
      problems: [{ field: 'style', message: 'There is no “lided” for style. Choose “lidded”.' }],
    });
  });

  it('takes a paper by its weight and a sheet by its sides, and refuses what is neither', () => {
    const gift = { across: 30, deep: 30, high: 30 };
    const paper = { id: 'comet', thickness: '300 gsm', finish: 'coated', sheet: '180 × 120 mm' };
    const { papers } = requestOf({
      gift: { ...gift, across: 3e7, deep: 3e7, high: 3e7 },
      papers: [paper],
    });
    expect(papers).toMatchObject([
      { name: 'Comet', thickness: 3e5, sheet: { width: 18e7, height: 12e7 } },
    ]);
    for (const [part, field] of [
      [{ sheet: '180 mm' }, 'papers.0.sheet'],
      [{ thickness: '80 lb' }, 'papers.0.thickness'],
    ] as const)
      expect(completeRequest({ gift, papers: { ...paper, ...part } })).toMatchObject({
        ok: false,
        problems: [{ field }],
      });
  });

  it('says what is wrong in its own unit', () => {
    const gift = { across: '70', deep: '2', high: '1' };
    const completed = completeRequest({ unit: 'inch', gift });
    expect(completed).toMatchObject({ ok: false, problems: [{ field: 'gift.across' }] });
    const text = JSON.stringify(completed);
    expect(text).toMatch(/at most 39 .+ in\. /);
    expect(text).not.toContain('mm');
    expect(
      planRequestSchema.safeParse(requestOf({ unit: 'inch', gift: { ...gift, across: 3e7 } }))
        .success,
    ).toBe(true);
  });
});
