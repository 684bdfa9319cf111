import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clearInsideNeeded, nanometres, type Length } from '../index.ts';
import { anyKit, anyGift, anyRequest } from '../testing/requests.ts';
import {
  addLayers,
  evenLayers,
  fitsOver,
  floorSections,
  marksWindow,
  section,
  sectionsOver,
  wideEnoughForTabs,
  type Layers,
} from './index.ts';
import { isSquare } from './sections.ts';

const card = fc.integer({ min: 150, max: 600 }).map((micron) => nanometres(micron * 1000));

/** What a style is asked for, as far as its sections depend on it. */
const anyBrief = fc
  .record({ request: anyRequest, mayBeOblong: fc.boolean() })
  .map(({ request, mayBeOblong }) => ({
    inside: clearInsideNeeded(request.gift, request.room),
    kit: request.kit,
    mayBeOblong,
  }));

const anyLayers: fc.Arbitrary<Layers> = fc.record({ across: card, deep: card });

const ways = ['across', 'deep'] as const;

describe('a section', () => {
  it('may grow over its target by two grooves, four steps of the trimmer or 1/4 in, whichever is most', () => {
    fc.assert(
      fc.property(anyKit, card, card, (kit, least, more) => {
        const grown = marksWindow({ kit });
        const usual = kit.without.length === 0;
        if (usual)
          expect(grown).toBe(Math.max(6_350_000, kit.board.pitch * 2, kit.trimmer.step * 4));
        const target = nanometres(least + more);
        const made = section({ kit }, 'wall', { least, target });
        expect(made).toEqual({ id: 'wall', least, target, most: target + grown, weight: 1 });
        expect(section({ kit }, 'flap', { least, target, weight: 0.1 }).weight).toBe(0.1);
      }),
    );
  });
});

describe('the floor of a box', () => {
  it('holds the gift between its walls and what lies inside them', () => {
    fc.assert(
      fc.property(anyBrief, card, anyLayers, (brief, thickness, layers) => {
        const floor = floorSections(brief, 'base', thickness, layers);
        for (const way of ways) {
          const { least, target } = floor.byDirection[way];
          // A wall of card takes half its thickness at either end, and the layers the rest.
          expect(least).toBe(brief.inside[way].least + thickness + layers[way]);
          expect(target).toBe(brief.inside[way].target + thickness + layers[way]);
          const named = floor.sections.find(({ id }) => id === floor[way]);
          // Whatever one section does for both directions is enough for each.
          expect(named?.least).toBeGreaterThanOrEqual(least);
          expect(named?.most).toBeGreaterThanOrEqual(floor.byDirection[way].most);
        }
        expect(floor.sections).toHaveLength(isSquare(brief) ? 1 : 2);
        expect(floor.across === floor.deep).toBe(isSquare(brief));
        if (isSquare(brief))
          expect(floor.sections[0]?.target).toBe(
            Math.round((floor.byDirection.across.target + floor.byDirection.deep.target) / 2),
          );
      }),
    );
  });

  it('is square for what is as deep as it is across, unless one way is made already', () => {
    fc.assert(
      fc.property(anyBrief, (brief) => {
        const { across, deep } = brief.inside;
        const even = { ...brief.inside, deep: across };
        expect(isSquare({ inside: even, mayBeOblong: false })).toBe(true);
        expect(isSquare({ inside: even, mayBeOblong: true })).toBe(false);
        const longer = { ...across, target: nanometres(across.target + 1) };
        expect(isSquare({ inside: { ...even, deep: longer }, mayBeOblong: false })).toBe(false);
        const roomier = { ...across, least: nanometres(across.least - 1) };
        expect(isSquare({ inside: { ...even, deep: roomier }, mayBeOblong: false })).toBe(false);
        expect(isSquare(brief)).toBe(
          !brief.mayBeOblong && across.target === deep.target && across.least === deep.least,
        );
      }),
    );
  });

  it('is widened to a centimetre where two tabs must hide behind its walls', () => {
    fc.assert(
      fc.property(anyBrief, fc.constantFrom(...ways), (brief, way) => {
        const wide = wideEnoughForTabs(brief, way);
        for (const each of ways)
          for (const measure of ['least', 'target'] as const)
            expect(wide.inside[each][measure]).toBe(
              each === way
                ? Math.max(brief.inside[each][measure], 10_000_000)
                : brief.inside[each][measure],
            );
        expect(wide.inside.high).toEqual(brief.inside.high);
      }),
    );
  });
});

describe('the floor of what goes over a box', () => {
  const gaps = fc.tuple(card, card, card).map(([least, more, most]) => ({
    least,
    target: nanometres(least + more),
    most: nanometres(least + more + most),
  }));

  it('is larger by the layers and the gap, and weighs nothing of its own', () => {
    fc.assert(
      fc.property(anyBrief, card, anyLayers, gaps, (brief, thickness, layers, gap) => {
        const inner = floorSections(brief, 'base', thickness, evenLayers(nanometres(0)));
        const over = sectionsOver(brief, 'lid', { inner, layers, gap });
        for (const way of ways) {
          const [out, under] = [over.byDirection[way], inner.byDirection[way]];
          expect(out.target - under.target).toBe(layers[way] + gap.target);
          // What the base may grow to, the lid may go round.
          expect(out.most - under.most).toBeGreaterThanOrEqual(layers[way] + gap.target);
          expect(out.least).toBeLessThanOrEqual(out.target);
          expect(out.least).toBeGreaterThanOrEqual(under.least);
          expect(out.weight).toBe(0);
        }
        expect(over.across === over.deep).toBe(inner.across === inner.deep);
        const fits = fitsOver('lid', {
          outer: { piece: 'lid', floor: over },
          inner: { piece: 'base', floor: inner },
          layers,
          gap,
        });
        expect(fits.map(({ direction }) => direction)).toEqual(ways);
        for (const fit of fits)
          expect(fit).toMatchObject({
            kind: 'lid',
            outer: 'lid',
            inner: 'base',
            outerSection: over[fit.direction === 'deep' ? 'deep' : 'across'],
            innerSection: inner[fit.direction === 'deep' ? 'deep' : 'across'],
            layers: layers[fit.direction === 'deep' ? 'deep' : 'across'],
            gap,
          });
      }),
    );
  });
});

describe('layers', () => {
  it('add up each way by itself', () => {
    fc.assert(
      fc.property(fc.array(anyLayers, { maxLength: 4 }), card, (all, each) => {
        const sum = (way: 'across' | 'deep'): number =>
          all.reduce((total: number, layers): number => total + layers[way], 0);
        expect(addLayers(...all)).toEqual({ across: sum('across'), deep: sum('deep') });
        const even: Layers = evenLayers(each);
        expect([even.across, even.deep]).toEqual<Length[]>([each, each]);
      }),
    );
  });
});

describe('any gift', () => {
  it('asks for no less than the least of its room', () => {
    fc.assert(
      fc.property(anyGift, anyRequest, (gift, { room }) => {
        const needed = clearInsideNeeded(gift, room);
        for (const way of ['across', 'deep', 'high'] as const)
          expect(needed[way].target).toBeGreaterThanOrEqual(needed[way].least);
      }),
    );
  });
});
