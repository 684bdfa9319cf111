import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closedFaces } from '../fold/index.ts';
import {
  allStyles,
  choiceOf,
  cutSizeOf,
  leftOff,
  millimetres,
  papersOf,
  planBox,
  stockPaper,
  usualRequest,
  wearable,
  windowFilm,
  type AdditionChoice,
  type PlanRequest,
  type WindowChoice,
} from '../index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { sundial, tableRequestsIn } from '../testing/requests.ts';
import { wornFaults } from '../testing/worn-in-space.ts';
import { toldSteps } from '../testing/told.ts';

const drawn = fc.record({
  face: fc.nat(40),
  opening: fc.oneof(
    fc.constantFrom(4, 8, 12, 25).map((frame) => ({
      shape: 'straight' as const,
      frame: millimetres(frame),
    })),
    fc.constantFrom(12, 25, 40, 90).map((across) => ({
      shape: 'round' as const,
      across: millimetres(across),
    })),
  ),
  hasFilm: fc.boolean(),
  /** What else it wears, whatever comes first. */
  wears: fc.constantFrom('nothing', 'liner', 'panel', 'liner before'),
});

/** A request with a window in a face of its box. */
function withWindow(
  request: PlanRequest,
  { face: at, opening, hasFilm, wears }: typeof drawn extends fc.Arbitrary<infer T> ? T : never,
): PlanRequest | undefined {
  const bare = planBox(request);
  if (!bare.ok) return undefined;
  const faces = wearable(bare.plan, papersOf(request));
  const face = faces[at % Math.max(1, faces.length)];
  if (!face) return undefined;
  const on = choiceOf(face.name);
  const paper = { ...stockPaper('dusk'), sheet: request.papers[0].sheet };
  const film = { ...windowFilm, sheet: request.papers[0].sheet };
  const hole: AdditionChoice = {
    addition: 'window',
    id: 'window-1',
    on,
    opening,
    ...(hasFilm && { film }),
  };
  const liner: AdditionChoice = { addition: 'liner', id: 'liner-1', lines: 'box and lid', paper };
  const panel: AdditionChoice = {
    addition: 'panel',
    id: 'panel-1',
    on: { which: 'face', face: on },
    layers: [{ margin: millimetres(1), paper }],
    underCover: 'counted',
  };
  const additions =
    wears === 'liner'
      ? [hole, liner]
      : wears === 'liner before'
        ? [liner, hole]
        : wears === 'panel'
          ? [panel, hole]
          : [hole];
  return { ...request, additions };
}

function windowOf({ additions }: PlanRequest): WindowChoice | undefined {
  return additions.flatMap((each) => (each.addition === 'window' ? [each] : []))[0];
}

describe.each(allStyles.map((style) => ({ name: style.name, style })))('$name', ({ style }) => {
  it('has a window that is seen through from outside to the gift, with film stuck all round it', () => {
    fc.assert(
      fc.property(tableRequestsIn(style), drawn, (bare, window) => {
        const request = withWindow(bare, window);
        const choice = request && windowOf(request);
        if (!request || !choice) return;
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        expect(faultsInSpace(plan, request)).toEqual([]);
        expect(wornFaults(plan, request)).toEqual([]);
        const cut = plan.pieces.filter(({ grid }) =>
          grid.cutouts.some(({ use, shape }) => use === 'window' && shape !== 'notch'),
        );
        if (leftOff({ ...request, papers: papersOf(request) }, plan).length > 0) return;
        expect(cut.length).toBeGreaterThan(0);
        const films = plan.pieces.filter(({ grid }) => grid.roles[0]?.[0] === 'film');
        expect(films).toHaveLength(choice.film ? 1 : 0);
        const faces = closedFaces(boxInSpace(plan, request));
        for (const { piece, id } of plan.assembly.parts.filter((part) => part.worn?.isInside)) {
          const film = films.find((each) => each.id === piece);
          const part = plan.assembly.parts.find((each) => each.id === id);
          const placed = faces.find((each) => each.part === id);
          if (!film || !part?.worn || !placed) continue;
          // The window’s rim lies within the film by what sticks, measured along the film’s own edges.
          const carrier = faces.filter((each) => each.part === part.worn?.part);
          const near = carrier.flatMap(({ holes, out }) =>
            Math.abs(out.x * placed.out.x + out.y * placed.out.y + out.z * placed.out.z) > 0.99
              ? holes.flat()
              : [],
          );
          expect(near.length).toBeGreaterThan(0);
          const [a, b, c] = placed.ring;
          if (!a || !b || !c || placed.ring.length !== 4) continue;
          for (const [from, to] of [
            [a, b],
            [b, c],
          ] as const) {
            const along = { x: to.x - from.x, y: to.y - from.y, z: to.z - from.z };
            const long = Math.hypot(along.x, along.y, along.z);
            const at = (place: typeof a) =>
              ((place.x - from.x) * along.x +
                (place.y - from.y) * along.y +
                (place.z - from.z) * along.z) /
              long;
            const inside = near.filter((place) => at(place) > -2 && at(place) < long + 2);
            expect(Math.min(...inside.map(at))).toBeGreaterThan(3);
            expect(Math.max(...inside.map(at))).toBeLessThan(long - 3);
          }
        }
      }),
      { numRuns: 12 },
    );
  });
});

describe('a window', () => {
  const request = usualRequest(sundial, 'inch');
  const top = (opening: WindowChoice['opening']): PlanRequest => {
    const bare = planBox(request);
    if (!bare.ok) throw new Error(bare.problems[0]?.message);
    const face = wearable(bare.plan, papersOf(request)).find(
      ({ name }) => name.role === 'lid' && name.faces === 'top',
    );
    if (!face) throw new Error('The lid has no top');
    return {
      ...request,
      additions: [
        { addition: 'window', id: 'window-1', on: choiceOf(face.name), opening, film: windowFilm },
      ],
    };
  };

  it('leaves so much card round it, on the marks, and takes the film’s room off the lid', () => {
    const asked = top({ shape: 'straight', frame: millimetres(12.7) });
    const result = planBox(asked);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const { plan } = result;
    const lid = plan.pieces.find(({ id }) => id === 'lid');
    const hole = lid?.grid.cutouts.find(({ use }) => use === 'window');
    if (!lid || hole?.shape !== 'trim') throw new Error('The lid has no window');
    const [, across = 0] = lid.grid.columns;
    const xs = hole.corners.map(({ x }) => x);
    const wide = Math.max(...xs) - Math.min(...xs);
    const sixteenth = 25_400_000 / 16;
    expect(wide % sixteenth).toBe(0);
    const frame = (across - wide) / 2;
    expect(frame).toBeGreaterThanOrEqual(12_700_000);
    expect(frame).toBeLessThan(12_700_000 + sixteenth);
    const film = plan.pieces.find(({ name }) => name === 'Window film');
    if (!film) throw new Error('There is no film');
    expect(cutSizeOf(film.grid).width - wide).toBeGreaterThan(12_000_000);
    const told = toldSteps(plan, asked, 1).map(({ text }) => text);
    const at = (part: string) => told.findIndex((text) => text.includes(part));
    expect(at('or the window, cut away a block from')).toBeGreaterThan(0);
    expect(at('Press it onto the inside of the top of the lid, over its window.')).toBeGreaterThan(
      at('or the window, cut away a block from'),
    );
  });

  it('that leaves nothing says what would do, and that does', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.integer({ min: 30, max: 140 }).map((frame) => ({
            shape: 'straight' as const,
            frame: millimetres(frame),
          })),
          fc.integer({ min: 60, max: 240 }).map((across) => ({
            shape: 'round' as const,
            across: millimetres(across),
          })),
        ),
        (opening) => {
          const result = planBox(top(opening));
          if (result.ok) return;
          const [{ nearest, field } = { nearest: undefined, field: '' }] = result.problems;
          expect(field).toMatch(/^additions\.0\.opening\.(frame|across)$/);
          if (nearest === undefined) throw new Error('Nothing is said to do');
          const again =
            opening.shape === 'straight'
              ? { ...opening, frame: nearest }
              : { ...opening, across: nearest };
          expect(planBox(top(again)).ok).toBe(true);
        },
      ),
      { numRuns: 12 },
    );
  });
});
