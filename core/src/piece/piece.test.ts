import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { millimetres, toMillimetres } from '../length/index.ts';
import {
  cutSizeOf,
  doubleArea,
  faultsOf,
  gridPositions,
  isWithin,
  outlinesOf,
  subdivide,
  type GridLine,
  type ScoreGrid,
  type Subdivision,
} from './index.ts';

const section = fc.integer({ min: 2000, max: 90_000 }).map((micron) => millimetres(micron / 1000));
const fold = { sense: 'valley', angle: 90, stage: 0 } as const;

/** Any grid with full lines all over, some of them slit, some cells waste, some tabs tapered. */
const anyGrid: fc.Arbitrary<ScoreGrid> = fc
  .record({
    columns: fc.array(section, { minLength: 1, maxLength: 4 }),
    rows: fc.array(section, { minLength: 1, maxLength: 4 }),
    pick: fc.infiniteStream(fc.nat(11)),
  })
  .map(({ columns, rows, pick }) => {
    const next = () => Number(pick.next().value);
    const roles = rows.map(() => columns.map(() => (next() === 0 ? 'waste' : 'wall')));
    const lines = (axis: GridLine['axis'], count: number, across: number): GridLine[] =>
      Array.from({ length: count - 1 }, (_, i) => ({
        axis,
        index: i + 1,
        spans: Array.from({ length: across }, (__, from) =>
          next() < 3
            ? { make: 'slit' as const, from, to: from + 1 }
            : { make: 'score' as const, from, to: from + 1, fold },
        ),
      }));
    const tapered = next() < 6;
    return {
      columns,
      rows,
      roles: roles.map((row) => row.map((role) => (role === 'waste' ? 'waste' : 'wall'))),
      lines: [
        ...lines('column', columns.length, rows.length),
        ...lines('row', rows.length, columns.length),
      ],
      diagonals: [],
      tapers: tapered
        ? [{ cell: { column: 0, row: 0 }, hinge: 'bottom', inset: millimetres(0.9) }]
        : [],
      cutouts: [],
      patches: [],
    };
  });

function areaOf(map: Subdivision, wanted: (role: string) => boolean): number {
  return map.faces
    .filter(({ role }) => wanted(role))
    .reduce((sum, face) => {
      const ring = face.corners.map((corner) => map.corners[corner] ?? { x: 0, y: 0 });
      return sum + doubleArea(ring) / 2;
    }, 0);
}

describe('a score grid as a flat map', () => {
  it('covers the cut size with faces, and outlines what is not waste', () => {
    fc.assert(
      fc.property(anyGrid, (grid) => {
        expect(faultsOf(grid)).toEqual([]);
        const map = subdivide(grid);
        const { width, height } = cutSizeOf(grid);
        const whole = toMillimetres(width) * toMillimetres(height);
        expect(areaOf(map, () => true)).toBeCloseTo(whole, 4);
        const kept = areaOf(map, (role) => role !== 'waste');
        const outlined = outlinesOf(map).reduce((sum, ring) => sum + doubleArea(ring) / 2, 0);
        expect(outlined).toBeCloseTo(kept, 4);
        // Every corner, edge and face counted: Euler's formula for a connected map.
        expect(map.corners.length - map.edges.length + map.faces.length).toBe(1);
        for (const edge of map.edges) expect(edge.faces.length).toBe(edge.make === 'edge' ? 1 : 2);
      }),
    );
  });

  it('makes faces from diagonals between marks on the edges, with part scores and slits inside', () => {
    const square: ScoreGrid = {
      columns: [millimetres(40), millimetres(60)],
      rows: [millimetres(40), millimetres(60)],
      roles: [
        ['wall', 'wall'],
        ['wall', 'floor'],
      ],
      lines: [
        { axis: 'column', index: 1, spans: [{ make: 'slit', from: 0, to: 1 }] },
        { axis: 'row', index: 1, spans: [{ make: 'score', from: 1, to: 2, fold }] },
      ],
      diagonals: [
        { make: 'score', from: { column: 0, row: 1 }, to: { column: 1, row: 0 }, fold },
        { make: 'score', from: { column: 0, row: 0 }, to: { column: 2, row: 2 }, fold },
      ],
      tapers: [],
      cutouts: [],
      patches: [],
    };
    const map = subdivide(square);
    // The long diagonal crosses the short one at (20, 20): the corner triangle is cut in two,
    // and the half above the long one in three, by the slit and the part score that end on it.
    expect(map.corners).toContainEqual({ x: 20, y: 20 });
    expect(map.faces).toHaveLength(6);
    expect(areaOf(map, () => true)).toBeCloseTo(100 * 100, 6);
    expect(
      map.edges.filter((edge) => edge.make === 'slit').every((edge) => isWithin(map, edge)),
    ).toBe(true);
  });

  it('takes out what is punched, rounded and trimmed, and knows the openings that it leaves', () => {
    const side = millimetres(60);
    const use = 'window';
    const at = (x: number, y: number) => ({ x: millimetres(x), y: millimetres(y) });
    const radius = millimetres(6);
    const map = subdivide({
      columns: [side],
      rows: [side],
      roles: [['wall']],
      lines: [],
      diagonals: [],
      tapers: [],
      patches: [],
      cutouts: [
        // The hole lies over the middle of the face, where its role is asked for.
        { shape: 'hole', use, centre: at(30, 30), radius },
        { shape: 'notch', use, centre: at(30, 0), radius, edge: 'top' },
        { shape: 'corner', use, at: at(60, 60), along: millimetres(-10), down: millimetres(-8) },
        { shape: 'trim', use, corners: [at(0, 60), at(9, 60), at(0, 50)] },
      ],
    });
    const face = map.faces.find(({ role }) => role === 'wall');
    expect(face?.holes).toHaveLength(1);
    const taken = (1.5 * Math.PI * 36 + (1 - Math.PI / 4) * 80 + 45) / 3600;
    const kept = outlinesOf(map).reduce((sum, ring) => sum + doubleArea(ring) / 2, 0) / 3600;
    // The circles are drawn as straight runs, a little inside them.
    expect(kept).toBeCloseTo(1 - taken, 3);
  });

  it('names what is wrong with a grid', () => {
    const [good] = fc.sample(anyGrid, { numRuns: 1, seed: 1 });
    if (!good) throw new Error('no sample');
    const across = good.columns.length;
    expect(faultsOf({ ...good, roles: [] })).toContain('Every cell needs one role.');
    expect(faultsOf({ ...good, lines: [{ axis: 'column', index: across, spans: [] }] })).toEqual([
      `There is no column ${across}.`,
    ]);
    expect(
      faultsOf({
        ...good,
        tapers: [{ cell: { column: 0, row: 0 }, hinge: 'top', inset: millimetres(200) }],
      }),
    ).toEqual(['A taper can’t take the whole end of its tab.']);
  });

  it('places grid lines exactly', () => {
    fc.assert(
      fc.property(fc.array(section, { minLength: 1, maxLength: 9 }), (sections) => {
        const positions = gridPositions(sections);
        expect(positions.map((at, i) => at - (positions[i - 1] ?? 0)).slice(1)).toEqual(sections);
      }),
    );
  });
});
