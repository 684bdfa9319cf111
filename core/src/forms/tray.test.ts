import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  faultsOf,
  millimetres,
  nanometres,
  type Cutout,
  type ScoreGrid,
} from '../index.ts';
import { tenthsBetween } from '../testing/lengths.ts';
import { trayTemplate, trimmedCorners, type Tray } from './index.ts';
import { insideLayers, outsideLayers } from './tray.ts';

/** A tray with the lengths of its sections. */
const anyTray = fc
  .record({
    wall: tenthsBetween(8, 90),
    across: tenthsBetween(12, 160),
    deep: tenthsBetween(12, 160),
    rim: fc.option(tenthsBetween(5, 25), { nil: undefined }),
    tabsOn: fc.constantFrom('sides' as const, 'front and back' as const),
    tabsLie: fc.constantFrom('inside' as const, 'outside' as const),
    floorRole: fc.constantFrom('floor' as const, 'lid' as const),
    thumb: fc.constantFrom(undefined, 'front' as const, 'front and back' as const),
  })
  .map(({ wall, across, deep, rim, ...how }) => {
    const tray: Tray = {
      id: 'base',
      name: 'Base',
      paper: 0,
      wall: 'wall',
      floor: { across: 'across', deep: 'deep' },
      ...how,
      ...(rim !== undefined && { rim: 'rim' }),
    };
    const sizes = new Map([
      ['wall', wall],
      ['across', across],
      ['deep', deep],
      ['rim', rim ?? nanometres(0)],
    ]);
    const size = (id: string) => sizes.get(id) ?? nanometres(0);
    const grid = trayTemplate(tray).draw(size);
    return { tray, wall, across, deep, rim: rim ?? 0, hasRim: rim !== undefined, grid };
  });

/** Where the corners of what is cut off lie. */
function cornersOf(cutout: Cutout): readonly { x: number; y: number }[] {
  return cutout.shape === 'trim' ? cutout.corners : [];
}

/** All that is made on one line of a grid, from edge to edge. */
function spansOn(grid: ScoreGrid, axis: 'column' | 'row', index: number) {
  return grid.lines.find((line) => line.axis === axis && line.index === index)?.spans ?? [];
}

describe('a tray', () => {
  it('is two walls wider than its floor each way, and two rims where it has them', () => {
    fc.assert(
      fc.property(anyTray, ({ wall, across, deep, rim, grid }) => {
        expect(faultsOf(grid)).toEqual([]);
        const { width, height } = cutSizeOf(grid);
        expect(width).toBe(across + 2 * wall + 2 * rim);
        expect(height).toBe(deep + 2 * wall + 2 * rim);
      }),
    );
  });

  it('has its tabs on one pair of walls: four slits that free them from the other', () => {
    fc.assert(
      fc.property(anyTray, ({ tray, grid, hasRim }) => {
        const o = hasRim ? 1 : 0;
        const sides = tray.tabsOn === 'sides';
        for (const index of [1 + o, 2 + o]) {
          // Beside a wall with tabs the line is slit at both ends and scored at the floor.
          const beside = spansOn(grid, sides ? 'column' : 'row', index);
          expect(beside.map(({ make }) => make)).toEqual(['slit', 'score', 'slit']);
          // The other line is scored from end to end: tabs first, the wall after both its tabs are in.
          const through = spansOn(grid, sides ? 'row' : 'column', index);
          const stages = through.map((span) => (span.make === 'score' ? span.fold.stage : NaN));
          expect(stages).toHaveLength(3);
          expect(stages[0]).toBe(stages[2]);
          expect(stages[1]).toBeGreaterThan(stages[0] ?? 0);
          for (const span of [...beside, ...through])
            if (span.make === 'score')
              expect(span.fold).toMatchObject({ sense: 'valley', angle: 90 });
        }
        const roles = grid.roles.flat();
        expect(roles.filter((role) => role === 'tab')).toHaveLength(4);
        expect(roles.filter((role) => role === 'wall')).toHaveLength(4);
        expect(roles.filter((role) => role === tray.floorRole)).toHaveLength(1);
        expect(roles.filter((role) => role === 'rim')).toHaveLength(hasRim ? 4 : 0);
      }),
    );
  });

  it('has tabs that never meet behind their wall, nor stand in its notch', () => {
    fc.assert(
      fc.property(anyTray, ({ tray, wall, across, deep, rim, grid }) => {
        const sides = tray.tabsOn === 'sides';
        // A tab is as long as the wall is high, less what is trimmed off its free end.
        const trims = grid.cutouts.filter(({ use }) => use === 'tab');
        const along = trims.flatMap(cornersOf).map(({ x, y }) => (sides ? y : x));
        const whole = 2 * rim + 2 * wall + (sides ? deep : across);
        const trimmed = trims.length === 0 ? 0 : Math.min(...along.filter((at) => at > rim)) - rim;
        const tab = wall - trimmed;
        const partner = sides ? across : deep;
        const notches = grid.cutouts.filter(({ use }) => use === 'thumb notch');
        const [notch] = notches;
        // Notches are in the front and the back, behind which tabs of the sides lie.
        const bite = sides && notch?.shape === 'notch' ? notch.radius : 0;
        expect(2 * tab + 2 * bite).toBeLessThan(partner);
        expect([0, 4]).toContain(trims.length);
        // What is trimmed lies in the corners, the same on both sides.
        for (const at of along) expect(along).toContain(whole - at);
        if (wall * 2 + 18_000_000 + 2_000_000 < partner) expect(trims).toEqual([]);
      }),
    );
  });

  it('has thumb notches where a bare edge can be bitten, as wide as the wall allows', () => {
    fc.assert(
      fc.property(anyTray, ({ tray, wall, across, deep, hasRim, grid }) => {
        const notches = grid.cutouts.filter(({ use }) => use === 'thumb notch');
        const wanted = hasRim || !tray.thumb ? [] : tray.thumb === 'front' ? [0] : [0, 0];
        expect(notches).toHaveLength(wanted.length);
        for (const notch of notches) {
          if (notch.shape !== 'notch') throw new Error('A notch was meant');
          expect(notch.centre.x).toBe(Math.round(wall + across / 2));
          expect(notch.centre.y).toBe(notch.edge === 'top' ? 0 : 2 * wall + deep);
          expect(notch.radius).toBeLessThan(wall / 2);
          expect(notch.radius * 4).toBeLessThanOrEqual(across + 2);
        }
        if (tray.thumb === 'front')
          for (const notch of notches) expect(notch).toHaveProperty('edge', 'bottom');
      }),
    );
  });

  it('has a tab taper on every tab, hinged at its own wall, and rims that clear one another', () => {
    fc.assert(
      fc.property(anyTray, ({ tray, wall, grid, rim, hasRim }) => {
        const o = hasRim ? 1 : 0;
        const ofTabs = grid.tapers.filter(
          ({ cell }) => grid.roles[cell.row]?.[cell.column] === 'tab',
        );
        expect(ofTabs).toHaveLength(4);
        for (const { cell, hinge, inset } of ofTabs) {
          const first = tray.tabsOn === 'sides' ? cell.row === o : cell.column === o;
          const hinges =
            tray.tabsOn === 'sides' ? (['bottom', 'top'] as const) : (['right', 'left'] as const);
          expect(hinge).toBe(hinges[first ? 0 : 1]);
          expect(inset).toBeLessThanOrEqual(wall / 8 + 1);
        }
        const ofRims = grid.tapers.filter(
          ({ cell }) => grid.roles[cell.row]?.[cell.column] === 'rim',
        );
        expect(ofRims).toHaveLength(hasRim ? 4 : 0);
        for (const { inset, shoulder } of ofRims) {
          // They are turned in round the same corner: both stand in, and more at the free end.
          expect(shoulder).toBeGreaterThan(0);
          expect(inset).toBeGreaterThan(shoulder ?? 0);
          expect(inset - (shoulder ?? 0)).toBeLessThanOrEqual(rim / 6 + 1);
        }
      }),
    );
  });

  it('reckons the card of two tabs on the walls that have none, inside or outside, and two rims', () => {
    fc.assert(
      fc.property(anyTray, fc.integer({ min: 150, max: 600 }), ({ tray, hasRim }, micron) => {
        const card = nanometres(micron * 1000);
        const [carries, holds] =
          tray.tabsOn === 'sides' ? (['across', 'deep'] as const) : (['deep', 'across'] as const);
        const [inside, outside] = [insideLayers(tray, card), outsideLayers(tray, card)];
        const rims = hasRim ? 2 * card : 0;
        const tabs = tray.tabsLie === 'inside' ? 2 * card : 0;
        expect(inside[carries]).toBe(rims);
        expect(inside[holds]).toBe(rims + tabs);
        expect(outside[carries]).toBe(0);
        expect(outside[holds]).toBe(2 * card - tabs);
      }),
    );
  });
});

describe('corners that would be too long', () => {
  it('lose their free ends, so much that the most is left', () => {
    const most = millimetres(20);
    fc.assert(
      fc.property(
        tenthsBetween(8, 60),
        tenthsBetween(10, 90),
        tenthsBetween(10, 90),
        fc.boolean(),
        (wall, across, deep, onSides) => {
          const origin = millimetres(3);
          const trims = trimmedCorners({ onSides, origin, wall, across, deep, most });
          expect(trims).toHaveLength(wall > most ? 4 : 0);
          for (const trim of trims) {
            const corners = cornersOf(trim);
            const span = (of: (corner: { x: number; y: number }) => number) =>
              Math.max(...corners.map(of)) - Math.min(...corners.map(of));
            expect(span(({ x }) => x)).toBe(onSides ? wall : wall - most);
            expect(span(({ y }) => y)).toBe(onSides ? wall - most : wall);
            // The free end is the outer edge.
            const [edge, far] = onSides
              ? [corners.map(({ y }) => y), origin + 2 * wall + deep]
              : [corners.map(({ x }) => x), origin + 2 * wall + across];
            expect(edge.includes(nanometres(origin)) || edge.includes(nanometres(far))).toBe(true);
          }
        },
      ),
    );
  });
});
