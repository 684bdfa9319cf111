import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  clearInsideNeeded,
  cutSizeOf,
  faultsOf,
  gridPositions,
  millimetres,
  nanometres,
  type Length,
  type ScoreGrid,
} from '../index.ts';
import { tenthsBetween } from '../testing/lengths.ts';
import { anyRequest } from '../testing/requests.ts';
import {
  gluedEnd,
  bottomFlaps,
  openEnd,
  overlappedEnd,
  panels,
  tubeInside,
  tubePanels,
  tubeTemplate,
  tuckFlap,
  tuckedEnd,
  type FloorSections,
  type TubeEnd,
} from './index.ts';

const card = fc.integer({ min: 150, max: 600 }).map((micron) => nanometres(micron * 1000));

const anyBrief = anyRequest.map(({ gift, room, kit }) => ({
  inside: clearInsideNeeded(gift, room),
  kit,
  mayBeOblong: true,
}));

/** The ends that a tube may have, by the sections which they take. */
const ends: Readonly<Record<string, (floor: FloorSections) => TubeEnd>> = {
  open: () => openEnd,
  glued: (floor) => gluedEnd('flaps', floor, 1),
  tucked: (floor) =>
    tuckedEnd({
      lid: 'lid',
      tuck: 'tuck',
      floor,
      wall: 'high',
      begins: 1,
      on: 'back',
      thumb: false,
    }),
  'tucked at the front': (floor) =>
    tuckedEnd({
      lid: 'lid',
      tuck: 'tuck',
      floor,
      wall: 'high',
      begins: 1,
      on: 'front',
      thumb: true,
    }),
  round: (floor) => overlappedEnd('flaps', floor, 1, 'round'),
  pointed: (floor) => overlappedEnd('flaps', floor, 1, 'pointed'),
  straight: (floor) => overlappedEnd('flaps', floor, 1, 'straight'),
};

/** Any tube with any two ends, drawn. */
const anyTube = fc
  .record({
    across: tenthsBetween(20, 120),
    deep: tenthsBetween(20, 120),
    high: tenthsBetween(15, 150),
    seam: tenthsBetween(6, 18),
    flaps: tenthsBetween(12, 60),
    lid: tenthsBetween(20, 120),
    tuck: tenthsBetween(6, 20),
    top: fc.constantFrom(...Object.keys(ends)),
    bottom: fc.constantFrom(...Object.keys(ends)),
    brief: anyBrief,
    card,
  })
  .map(({ top, bottom, brief, card, ...lengths }) => {
    const made = tubePanels(brief, 'box', card);
    const names = new Map<string, Length>([
      [made.floor.across, lengths.across],
      [made.floor.deep, lengths.deep],
      [made.seam.id, lengths.seam],
      ['high', lengths.high],
      ['flaps', lengths.flaps],
      ['lid', lengths.lid],
      ['tuck', lengths.tuck],
    ]);
    const size = (id: string) => names.get(id) ?? nanometres(0);
    const end = (kind: string) => ends[kind]?.(made.floor) ?? openEnd;
    const tube = {
      id: 'box',
      name: 'Box',
      paper: 0,
      panels: made,
      high: 'high',
      top: end(top),
      bottom: end(bottom),
    };
    return {
      ...lengths,
      top,
      bottom,
      tube,
      panels: made,
      size,
      grid: tubeTemplate(tube).draw(size),
    };
  });

/** The spans that lie in one row of cells, by the column line on which they are made. */
function spansInRow(grid: ScoreGrid, row: number) {
  return grid.lines.flatMap(({ axis, index, spans }) =>
    axis === 'column'
      ? spans.filter(({ from, to }) => from <= row && row < to).map((span) => ({ index, ...span }))
      : [],
  );
}

describe('the panels of a tube', () => {
  it('go round the gift with its room, the seam lying beside one of the sides', () => {
    fc.assert(
      fc.property(anyBrief, card, tenthsBetween(0, 2), (brief, thickness, lined) => {
        const made = tubePanels(brief, 'box', thickness, lined);
        const { across, deep } = made.floor.byDirection;
        expect(across.target).toBe(brief.inside.across.target + 2 * thickness);
        expect(deep.target).toBe(brief.inside.deep.target + thickness + lined);
        // What is promised is what comes out, at the least sizes.
        const size = (id: string) =>
          id === made.floor.across ? across.least : id === made.floor.deep ? deep.least : thickness;
        const inside = tubeInside(size, made);
        expect(inside.across).toBe(brief.inside.across.least);
        expect(inside.deep - lined).toBe(brief.inside.deep.least);
        // A seam is narrower than the side that it is glued behind, wherever that is wide enough.
        const { least, target, most } = made.seam;
        expect(least).toBeLessThanOrEqual(target);
        expect(target).toBeLessThanOrEqual(15_000_000);
        // It takes the widest tape of these, up to half an inch, wherever the side is wide enough.
        const tapes = brief.kit.adhesives.map(({ width }) => Math.min(width ?? 0, 12_700_000));
        const taped = Math.max(...tapes) + 2_000_000;
        if (0.8 * brief.inside.deep.least > taped) expect(least).toBeGreaterThanOrEqual(taped);
        if (brief.inside.deep.least > 4_000_000)
          expect(most).toBeLessThanOrEqual(brief.inside.deep.least);
      }),
    );
  });

  it('stand side by side on the card: side, front, side, back and the seam', () => {
    fc.assert(
      fc.property(anyTube, ({ grid, across, deep, high, seam, tube }) => {
        expect(faultsOf(grid)).toEqual([]);
        expect(grid.columns).toEqual([deep, across, deep, across, seam]);
        const above = tube.top.rows.length;
        expect(grid.rows[above]).toBe(high);
        expect(grid.roles[above]).toEqual(['wall', 'wall', 'wall', 'wall', 'seam']);
        const folds = spansInRow(grid, above);
        expect(folds.map(({ index, make }) => `${make} ${index}`)).toEqual(
          [1, 2, 3, 4].map((index) => `score ${index}`),
        );
        for (const fold of folds)
          if (fold.make === 'score')
            expect(fold.fold).toMatchObject({ sense: 'valley', angle: 90, stage: 0 });
        const { width } = cutSizeOf(grid);
        expect(width).toBe(2 * across + 2 * deep + seam);
      }),
    );
  });

  it('have ends that are mirror images of one another, above and below', () => {
    fc.assert(
      fc.property(anyTube, ({ tube, size, panels: made, high }) => {
        const both = { ...tube, bottom: tube.top };
        const grid = tubeTemplate(both).draw(size);
        expect([...grid.rows].reverse()).toEqual(grid.rows);
        expect([...grid.roles].reverse()).toEqual(grid.roles);
        const { height } = cutSizeOf(grid);
        const mirrored = new Set(
          grid.cutouts.flatMap((cutout) =>
            cutout.shape === 'trim' && cutout.use !== 'slot'
              ? [
                  cutout.corners
                    .map(({ x, y }) => `${x} ${height - y}`)
                    .sort()
                    .join(),
                ]
              : [],
          ),
        );
        for (const cutout of grid.cutouts)
          if (cutout.shape === 'trim' && cutout.use !== 'slot')
            expect(mirrored).toContain(
              cutout.corners
                .map(({ x, y }) => `${x} ${y}`)
                .sort()
                .join(),
            );
        expect(high).toBe(size(both.high));
        expect(made.floor.sections.length).toBeGreaterThan(0);
      }),
    );
  });
});

describe('the flaps at an end of a tube', () => {
  it('are free of one another: slit between, and drawn in at their free corners', () => {
    fc.assert(
      fc.property(anyTube, ({ grid, tube }) => {
        const above = tube.top.rows.length;
        grid.roles.forEach((roles, row) => {
          if (row === above) return;
          for (const index of [1, 2, 3, 4]) {
            const [left, right] = [roles[index - 1], roles[index]];
            if (left === 'waste' || right === 'waste' || !left || !right) continue;
            const between = spansInRow(grid, row).filter((span) => span.index === index);
            expect(between.map(({ make }) => make)).toEqual(['slit']);
          }
        });
        // Every flap that hangs on a panel has a fold there, and no two of them fold on the same line at once
        // where one lies on the other.
        const xs = gridPositions(grid.columns);
        for (const { cell, inset, shoulder = 0 } of grid.tapers) {
          const wide = (xs[cell.column + 1] ?? 0) - (xs[cell.column] ?? 0);
          const role = grid.roles[cell.row]?.[cell.column];
          if (role === 'seam') continue;
          expect(2 * Math.max(inset, shoulder)).toBeLessThan(wide / 2);
        }
      }),
    );
  });

  it('glued on one another, are past the middle and never longer than the narrow way', () => {
    fc.assert(
      fc.property(anyBrief, (brief) => {
        const narrow = Math.min(brief.inside.across.least, brief.inside.deep.least);
        const { floor } = tubePanels(brief, 'box', millimetres(0.3));
        const { flaps, smaller } = bottomFlaps(brief, 'flaps', floor);
        expect(2 * flaps.least).toBeGreaterThanOrEqual(narrow - 1);
        expect(flaps.target).toBeGreaterThanOrEqual(flaps.least);
        expect(flaps.target).toBeLessThanOrEqual(narrow);
        const [within, past] = smaller;
        expect(within).toMatchObject({ less: 'flaps', more: past?.less });
        const way = past?.less === floor.across ? 'across' : 'deep';
        expect(brief.inside[way].least).toBe(narrow);
        expect(past).toMatchObject({ more: 'flaps', moreTimes: 2 });
        expect(past?.by).toBe(Math.min(9_525_000, Math.round(0.4 * narrow)));
      }),
    );
    const glued = gluedEnd(
      'flaps',
      tubePanels(
        { ...(fc.sample(anyBrief, { numRuns: 1, seed: 1 })[0] ?? neverDrawn()), mayBeOblong: true },
        'box',
        millimetres(0.3),
      ).floor,
      3,
    );
    const some = fc.integer({ min: 10, max: 90 });
    const sizes = fc.record({ flaps: some, across: some, deep: some });
    fc.assert(
      fc.property(sizes, ({ flaps, across, deep }) => {
        const size = (id: string) =>
          millimetres(id === 'flaps' ? flaps : id.endsWith('across') ? across : deep);
        const stacks = glued.stacks('box', { row: (outward) => 1 + outward }, size);
        const joined = stacks.map(
          ({ face, on }) => [Math.floor(face.spot.column), Math.floor(on.spot.column)] as const,
        );
        // The sides lie inside, then the back, then the front over all: on those that it reaches.
        expect(joined).toEqual([
          ...(2 * flaps > across + 1 ? [[panels.left, panels.right]] : []),
          [panels.back, panels.right],
          [panels.back, panels.left],
          ...(2 * flaps > deep + 1
            ? [
                [panels.front, panels.back],
                [panels.front, panels.right],
                [panels.front, panels.left],
              ]
            : [
                [panels.front, panels.right],
                [panels.front, panels.left],
              ]),
        ]);
      }),
    );
  });

  it('that tuck in, leave dust flaps that don’t meet, and a lid under which they lie', () => {
    fc.assert(
      fc.property(anyTube, ({ grid, top, across, lid, tuck, tube }) => {
        if (!top.startsWith('tucked')) return;
        const trims = grid.cutouts.filter(({ use, shape }) => use === 'flap' && shape === 'trim');
        const inTop = trims.flatMap((cutout) =>
          cutout.shape === 'trim' && cutout.corners.every(({ y }) => y <= tuck + lid)
            ? [Math.max(...cutout.corners.map(({ y }) => y))]
            : [],
        );
        expect(inTop).toHaveLength(2);
        for (const free of inTop) {
          const dust = tuck + lid - free;
          expect(2 * dust).toBeLessThan(across);
          expect(dust).toBeLessThan(lid);
          expect(dust).toBeLessThanOrEqual(28_000_000);
        }
        const folds = grid.lines.flatMap(({ axis, spans }) =>
          axis === 'row' ? spans.flatMap((span) => (span.make === 'score' ? [span.fold] : [])) : [],
        );
        for (const { sense, angle } of folds) expect([sense, angle]).toEqual(['valley', 90]);
        expect(tube.top.rows).toEqual(['lid', 'tuck']);
      }),
    );
  });

  it('that tuck in, hold by a flap that is no longer than the wall', () => {
    fc.assert(
      fc.property(anyBrief, tenthsBetween(6, 120), (brief, wall) => {
        const { least, target, most } = tuckFlap(brief, 'tuck', wall);
        expect(least).toBeLessThanOrEqual(target);
        expect(target).toBeLessThanOrEqual(most);
        expect(target).toBeLessThanOrEqual(18_000_000);
        if (wall > 9_000_000) expect(most).toBeLessThanOrEqual(wall);
        expect(most - target).toBeLessThanOrEqual(6_000_000);
      }),
    );
  });
});

function neverDrawn(): never {
  throw new Error('Nothing was drawn');
}
