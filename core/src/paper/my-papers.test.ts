import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  keptPaperSchema,
  nanometres,
  paperItemSchema,
  paperOf,
  papersAtHand,
  papersIn,
  paperSchema,
  parseSheet,
  parseThickness,
  sheetOf,
  shippedPapers,
  thicknessOf,
  weightOf,
  weightSchema,
  type Finish,
  type KeptPaper,
  type PaperItem,
} from '../index.ts';

const finishes = fc.constantFrom<Finish>('matt', 'coated', 'foil');
const unit = fc.constantFrom('inch', 'mm');
/** A side of a sheet on a mark of some ruler. */
const side = fc.oneof(
  fc.integer({ min: 104, max: 5000 }).map((parts) => nanometres(parts * 396_875)),
  fc.integer({ min: 400, max: 20_000 }).map((tenths) => nanometres(tenths * 100_000)),
);

describe('a sheet of any size', () => {
  it('is found again under the name that it is given, whatever ruler is read', () => {
    fc.assert(
      fc.property(side, side, unit, unit, (width, height, told, read) => {
        const sheet = sheetOf(width, height, told);
        expect(sheet).toMatchObject({ width, height });
        const again = parseSheet(sheet.name, read);
        // What is on no ruler's marks with the other side is told to a hundredth of a millimetre.
        expect(Math.abs((again?.width ?? 0) - width)).toBeLessThanOrEqual(10_000);
        expect(Math.abs((again?.height ?? 0) - height)).toBeLessThanOrEqual(10_000);
        if (told === read) expect(again?.name).toBe(sheet.name);
      }),
    );
  });

  it.each([
    ['180 × 180 mm', 180, 180],
    ['180x120mm', 180, 120],
    ['7 x 10 in', 177.8, 254],
    ['18 cm * 240 mm', 180, 240],
    ['a4', 210, 297],
  ])('is read as %s', (text, width, height) => {
    expect(parseSheet(text, 'mm')).toMatchObject({
      width: Math.round(width * 1e6),
      height: Math.round(height * 1e6),
    });
  });

  it.each(['', '180', '180 ×', '180 × 180 × 180', '3 × 3 mm', 'A0'])('is not %j', (text) => {
    expect(parseSheet(text, 'mm')).toBeUndefined();
  });
});

describe('a thickness as it is typed', () => {
  const weight = fc.integer({ min: 40, max: 1000 });

  it('may be a weight, and heavier card is thicker', () => {
    fc.assert(
      fc.property(
        weight,
        weight,
        finishes,
        fc.constantFrom(' gsm', 'gsm', ' g/m²', ' g/m2', ''),
        (one, other, finish, spelled) => {
          const read = (grams: number) =>
            parseThickness(`${grams}${spelled}`, { unit: 'mm', finish });
          const [first, second] = [read(one), read(other)];
          if (!first.ok || !second.ok) throw new Error('a weight was refused');
          expect(first.weight).toBe(one);
          if (one < other) expect(first.thickness).toBeLessThanOrEqual(second.thickness);
          // The weight that such card has is about the one that was typed.
          expect(Math.abs((weightOf(first.thickness, finish) ?? 0) - one)).toBeLessThanOrEqual(8);
        },
      ),
    );
  });

  it('takes card of common bulk for what callipers find it to be', () => {
    const thick = (grams: number, finish: Finish) =>
      thicknessOf(weightSchema.parse(grams), finish) / 1e6;
    expect(thick(80, 'matt')).toBeCloseTo(0.1, 1);
    expect(thick(216, 'matt')).toBeGreaterThan(0.25);
    expect(thick(216, 'matt')).toBeLessThan(0.31);
    expect(thick(300, 'coated')).toBeLessThan(thick(300, 'foil'));
    expect(thick(300, 'foil')).toBeLessThan(thick(300, 'matt'));
  });

  it.each([
    ['0.3', 0.3],
    ['0,3 mm', 0.3],
    ['0.012 in', 0.3048],
    ['12 pt', 0.3048],
    ['10 mil', 0.254],
  ])('%s is a length', (text, thick) => {
    expect(parseThickness(text, { unit: 'mm', finish: 'matt' })).toEqual({
      ok: true,
      thickness: Math.round(thick * 1e6),
    });
  });

  it.each([
    ['80 lb', 'gsm'],
    ['5 gsm', '30 to 1000 gsm'],
    ['thick', '300 gsm'],
    ['', '0.3 mm'],
    ['-1 mm', 'minus'],
  ])('%j is refused with a way out', (text, way) => {
    const read = parseThickness(text, { unit: 'mm', finish: 'matt' });
    expect(read.ok ? '' : read.message).toContain(way);
  });
});

/** What makers may say of their papers, with items under ids that are not theirs and shipped papers changed. */
const anyItems = fc
  .array(
    fc.record({
      from: fc.nat(shippedPapers.length - 1),
      own: fc.option(fc.nat(4)),
      under: fc.option(fc.nat(4), { freq: 8 }),
      away: fc.boolean(),
      gone: fc.boolean(),
      added: fc.nat(3),
      name: fc.constantFrom('Indigo', 'Parchment', 'Comet, mine'),
    }),
    { maxLength: 12 },
  )
  .map((said) => {
    const items = new Map<string, PaperItem>();
    for (const { from, own, under, away, gone, added, name } of said) {
      const base = shippedPapers[from];
      if (!base) continue;
      const id = own === null ? base.id : `own ${own}`;
      const paper: KeptPaper = { ...base, id, name };
      const item: PaperItem = gone ? { kind: 'gone' } : { kind: 'paper', paper, away, added };
      items.set(under === null ? id : `own ${under}`, paperItemSchema.parse(item));
    }
    return items;
  });

describe('the maker’s papers', () => {
  it('are all that they have told, the own ones first as they came, and every one that is shipped', () => {
    fc.assert(
      fc.property(anyItems, (items) => {
        const placed = papersIn(items);
        const ids = placed.map(({ paper }) => paper.id);
        expect(new Set(ids).size).toBe(ids.length);
        const own = placed.filter(({ isShipped }) => !isShipped);
        expect(placed.slice(0, own.length)).toEqual(own);
        expect(ids.slice(own.length)).toEqual(shippedPapers.map(({ id }) => id));
        for (const { paper, away } of placed) {
          const item = items.get(paper.id);
          if (item?.kind === 'paper' && item.paper.id === paper.id)
            expect({ paper, away }).toEqual({ paper: item.paper, away: item.away });
          else
            expect({ paper, away }).toEqual({
              paper: shippedPapers.find(({ id }) => id === paper.id),
              away: false,
            });
        }
        const times = own.map(({ paper }) => {
          const item = items.get(paper.id);
          return item?.kind === 'paper' ? item.added : NaN;
        });
        expect(times).toEqual([...times].sort((a, b) => a - b));
        // The same however they came in.
        expect(papersIn(new Map([...items].reverse()))).toEqual(placed);
      }),
    );
  });

  it('leave something to choose, and nothing that was put away unless all of it was', () => {
    fc.assert(
      fc.property(anyItems, fc.boolean(), (items, all) => {
        const placed = papersIn(items).map((each) => ({ ...each, away: all || each.away }));
        const atHand = papersAtHand(placed);
        expect(atHand.length).toBeGreaterThan(0);
        const away = placed.filter((each) => each.away).map(({ paper }) => paper.id);
        if (away.length < placed.length)
          for (const { id } of atHand) expect(away).not.toContain(id);
      }),
    );
  });

  it('go into a box in the sheet that is wanted, where they come in it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...shippedPapers),
        fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 5 }),
        fc.nat(9),
        (base, sizes, at) => {
          const sheets = sizes.map(([width, height]) => sheetOf(width, height, 'mm'));
          const kept = keptPaperSchema.parse({ ...base, sheets });
          const wanted =
            at < sheets.length
              ? sheets[at]
              : sheetOf(nanometres(41_000_000), nanometres(43_000_000), 'mm');
          const paper = paperOf(kept, wanted);
          expect(paperSchema.parse(paper)).toEqual(paper);
          expect(paper.sheet).toEqual(at < sheets.length ? wanted : sheets[0]);
        },
      ),
    );
  });
});
