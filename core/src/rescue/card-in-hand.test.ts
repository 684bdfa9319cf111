import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  doneSoFar,
  formatGap,
  formatSize,
  inchFraction,
  millimetres,
  nanometres,
  noProgress,
  planBox,
  planJob,
  rescue,
  usualRequest,
  type DoneSoFar,
  type Length,
  type Mishap,
  type Plan,
  type PlanRequest,
  type Side,
  type WayOn,
  hasWayUp,
} from '../index.ts';
import {
  type Card,
  type Cards,
  pieceIn,
  readingsIn,
  planned,
  asPlanned,
  afterwards,
  typed,
  followed,
} from '../testing/card-on-table.ts';
import { casesWanted } from '../testing/cases.ts';
import { bare, laid, turnedBy, type Card as ReadCard } from '../testing/reader/index.ts';
import { anyRequest, sundial } from '../testing/requests.ts';

/** The places of a card as one sees it lying: its size, then its lines in an order of their own. */
function looks({ width, height, scores }: ReadCard): readonly number[] {
  const lines = scores
    .map((line) => line.flatMap(({ x, y }) => [x, y]))
    .map(([a = 0, b = 0, c = 0, d = 0]) => (a + b <= c + d ? [a, b, c, d] : [c, d, a, b]));
  const key = (line: readonly number[]) => line.reduce((sum, each, i) => sum + each * 7 ** i, 0);
  return [width, height, ...lines.sort((one, other) => key(one) - key(other)).flat()];
}

/** Whoever holds the card any way round lays it as it is drawn, or so that nobody can tell. */
function expectToLie(card: Card, said: string, printTop: ReadCard['printTop'], dice: number): void {
  const scores = card.lines.map(({ axis, at }) => {
    const along = axis === 'column' ? card.height : card.width;
    const place = (to: number) =>
      axis === 'column' ? { x: at / 1e6, y: to / 1e6 } : { x: to / 1e6, y: at / 1e6 };
    return [place(0), place(along)] as const;
  });
  const drawn: ReadCard = {
    ...bare(card.width / 1e6, card.height / 1e6, printTop),
    scores,
  };
  const [, lies = ''] = /^[^,]+, (.+)\.$/.exec(said) ?? [];
  // Where nothing can be told apart it is left as it lay.
  const held = said.includes('just as it lay') ? drawn : turnedBy(drawn, dice);
  const found = laid(held, lies, (ways) => dice % Math.max(1, ways));
  expect(found.printTop).toBe(drawn.printTop);
  const wanted = looks(drawn);
  looks(found).forEach((place, i) => {
    // What is a hair apart looks the same.
    expect(Math.abs(place - (wanted[i] ?? NaN)), said).toBeLessThan(0.05);
  });
}

/** A told figure has two places of a millimetre, and one is told after another. */
function expectNear(one: number, other: number, what: string): void {
  expect(Math.abs(one - other), what).toBeLessThan(12_000);
}

/** Everything on the table is in the plan, line for line; and the maker is told of all that is not as it was. */
function expectToFit(old: Plan, way: WayOn, cards: Cards, wanted: PlanRequest): void {
  const { plan, request, sentences } = way;
  for (const [id, card] of cards) {
    if (id === way.again) continue;
    const { width, height } = cutSizeOf(pieceIn(plan, id).grid);
    expectNear(card.width, width, id);
    expectNear(card.height, height, id);
    for (const { axis, index, at } of card.lines)
      expectNear(planned(plan, id, axis, index), at, `${id} ${axis} ${index}`);
  }
  const { trimmer } = request.kit;
  for (const { id, name, grid } of plan.pieces) {
    const was = cutSizeOf(pieceIn(old, id).grid);
    const { width, height } = cutSizeOf(grid);
    const isCut = cards.has(id) && way.again !== id;
    const isOther = was.width !== width || was.height !== height;
    const cut = `${name}: cut it ${formatSize(width, height, trimmer.unit)}.`;
    expect(sentences.includes(cut), cut).toBe(!isCut && isOther);
    const readings = readingsIn(plan, id);
    const scores = sentences.filter(
      (each) => / (?:score|tick) at /.test(each) && each.startsWith(`${name}: `),
    );
    const stays = readings.every(({ axis, index, position }) => {
      const [size, other] = axis === 'column' ? [width, was.width] : [height, was.height];
      const before = planned(old, id, axis, index);
      return position === before || size - position === other - before;
    });
    const same = stays && readings.length === readingsIn(old, id).length;
    expect(scores.length > 0, scores.join(' ')).toBe(!same && readings.length > 0);
    // Every figure has its unit and is one of the marks; and no mark is left out.
    const figures = scores.flatMap((sentence) => {
      const [, row = '', unit = ''] = /(?:score|tick) at (.+?) (in|mm)\b/.exec(sentence) ?? [];
      return row.split(/, | and /).map((each) => typed(`${each} ${unit}`, request));
    });
    if (scores.length === 0) continue;
    const nearest = (one: number, all: readonly number[]) =>
      Math.min(...all.map((other) => Math.abs(other - one)));
    const shim = request.kit.board.shim ?? 0;
    const marks = readings.flatMap(({ reading, position, axis }) => {
      const whole = axis === 'column' ? width : height;
      // A line along a ruler may be told from its other edge, one with the shim by its groove.
      return [reading, reading + shim, position, position + shim, whole - position];
    });
    for (const figure of figures) expect(nearest(figure, marks)).toBeLessThan(450_000);
    for (const { reading, position, axis } of readings) {
      const whole = axis === 'column' ? width : height;
      const ways = [reading, reading + shim, position, whole - position];
      expect(Math.min(...ways.map((each) => nearest(each, figures)))).toBeLessThan(450_000);
    }
  }
  expect(sentences.length).toBeGreaterThan(0);
  for (const { state } of plan.pairs) {
    const loose = sentences.some((each) => each.endsWith('would be loose.'));
    const tight = sentences.some((each) => each.endsWith('would be too tight.'));
    if (state !== 'holds') expect(state === 'tight' ? tight : loose).toBe(true);
  }
  const worse = (state: string) => ['holds', 'loose', 'tight'].indexOf(state);
  const worst = ({ pairs }: Plan) => Math.max(0, ...pairs.map(({ state }) => worse(state)));
  for (const [where, left, least] of [
    ['at the sides', plan.room.across, wanted.room.across.floor],
    ['at front and back', plan.room.deep, wanted.room.deep.floor],
    ['over the top', plan.room.high, wanted.room.high.floor],
  ] as const) {
    const told = sentences.includes(
      `The gift has less room than you asked for: ${formatGap(left)} ${where}, and not ${formatGap(least)}.`,
    );
    // Nobody measures a hundredth of a millimetre.
    expect(told, where).toBe(left < least - 10_000);
    if (way.isGood) expect(told).toBe(false);
  }
  if (way.isGood) expect(worst(plan)).toBeLessThanOrEqual(worst(old));
}

/** Something that goes wrong: a cut or a score so many steps off, or an edge torn so many deep. */
const anySlip = fc.record({
  kind: fc.constantFrom<Mishap['kind']>('cut', 'score', 'torn'),
  piece: fc.nat({ max: 5 }),
  line: fc.nat({ max: 20 }),
  off: fc.integer({ min: -12, max: 12 }),
  offDown: fc.constantFrom(0, 0, 4, 8),
  edge: fc.constantFrom<Side>('left', 'right', 'top', 'bottom'),
});

type Slip = typeof anySlip extends fc.Arbitrary<infer Drawn> ? Drawn : never;

/** A measure as it would be read off a ruler that has a step so large. */
function grown(size: number, steps: number, { kit }: PlanRequest): Length {
  const step = kit.trimmer.unit === 'inch' ? inchFraction(1, 64) : millimetres(0.5);
  return nanometres(Math.max(step, size + steps * step));
}

function mishapOf(
  { plan, request }: Pick<WayOn, 'plan' | 'request'>,
  { kind, piece: nth, line, off, offDown, edge }: Slip,
): Mishap {
  const piece = plan.pieces[nth % plan.pieces.length];
  if (!piece) throw new Error('A box has pieces');
  const { id, grid } = piece;
  const { width, height } = cutSizeOf(grid);
  const marked = readingsIn(plan, id).filter(({ mark }) => mark !== undefined);
  const reading = marked[line % Math.max(1, marked.length)];
  if (kind === 'torn')
    return { kind, piece: id, edge, depth: grown(0, Math.abs(off) + 1, request) };
  if (kind === 'cut' || !reading)
    return {
      kind: 'cut',
      piece: id,
      width: grown(width, off, request),
      height: grown(height, offDown, request),
    };
  const { axis, index } = reading;
  return { kind, piece: id, line: { axis, index }, at: grown(reading.reading, off, request) };
}

/** Cuts so many of the pieces, and scores so many of their lines that are marked. */
function doneOn(plan: Plan, pieces: number, lines: number): DoneSoFar {
  const cut = new Set(plan.pieces.slice(0, pieces).map(({ id }) => id));
  const scored = plan.marks
    .filter(({ piece }) => cut.has(piece))
    .flatMap(({ piece, readings }) =>
      readings.flatMap(({ axis, index, mark }) =>
        mark === undefined ? [] : [{ piece, line: { axis, index } }],
      ),
    );
  return { cut, scored: scored.slice(0, lines) };
}

describe('the card in the maker’s hands', () => {
  it('is in every way on as it is on the table, after one mishap and after another', () => {
    const told = { trims: 0, downs: 0, others: 0, second: 0, lost: 0, scores: 0 };
    fc.assert(
      fc.property(
        anyRequest,
        fc.nat({ max: 3 }),
        fc.nat({ max: 12 }),
        anySlip,
        anySlip,
        fc.nat(),
        (request, pieces, lines, slip, next, which) => {
          const result = planBox(request);
          if (!result.ok) return;
          let now = { plan: result.plan, request };
          let done = doneOn(now.plan, pieces, lines);
          let cards = asPlanned(now.plan, done);
          for (const each of [slip, next]) {
            const mishap = mishapOf(now, each);
            const before = cards.get(mishap.piece) ?? {
              ...cutSizeOf(pieceIn(now.plan, mishap.piece).grid),
              lines: [],
            };
            const { ways, again, why } = rescue(now.plan, now.request, done, mishap);
            const size = cutSizeOf(pieceIn(now.plan, mishap.piece).grid);
            const { unit } = request.kit.trimmer;
            expect(again).toMatch(/^Cut the .+ again: .+\.$/);
            expect(again).toContain(`: ${formatSize(size.width, size.height, unit)}.`);
            expect(why !== undefined).toBe(ways.length === 0);
            if (why !== undefined) expect(why).toMatch(/^[A-Z].+\.$/);
            const after = (way: WayOn) =>
              new Map(cards).set(
                mishap.piece,
                followed(afterwards(now.plan, before, mishap), way, request, {
                  mishap,
                  plan: now.plan,
                }),
              );
            const firstPoor = ways.findIndex(({ isGood }) => !isGood);
            expect(ways.slice(firstPoor).every(({ isGood }) => firstPoor < 0 || !isGood)).toBe(
              true,
            );
            for (const way of ways) {
              expectToFit(now.plan, way, after(way), now.request);
              const [lies = ''] = way.sentences;
              const isLaid = /^[^,.]+, (?:inside|print|foil) /.test(lies);
              const slot = pieceIn(now.plan, mishap.piece).paper;
              const paper = request.papers[Math.min(slot, request.papers.length - 1)];
              if (isLaid)
                expectToLie(
                  afterwards(now.plan, before, mishap),
                  lies,
                  paper && hasWayUp(paper)
                    ? (pieceIn(now.plan, mishap.piece).printTop ?? 'top')
                    : undefined,
                  which,
                );
              const isFirstLying = lies.endsWith(', as it lay for its first score.');
              // Whoever is told of an edge is told how the piece lies.
              const edges = /^Cut .+ at the (?:left|right|top|bottom)/;
              expect(way.sentences.some((each) => edges.test(each))).toBe(isLaid || isFirstLying);
              const first = way.sentences[isLaid || isFirstLying ? 1 : 0] ?? '';
              const name = pieceIn(now.plan, mishap.piece).name.toLowerCase();
              const starts = {
                trim: `Cut `,
                'another piece': mishap.kind === 'torn' ? 'Cut ' : `Keep the ${name}, and cut the `,
                'go on': mishap.kind === 'torn' ? 'Cut ' : '',
              }[way.kind];
              expect(first.startsWith(starts)).toBe(true);
              if (way.kind === 'trim') expect(first).toContain(name);
              if (way.kind === 'trim') told[mishap.kind === 'score' ? 'trims' : 'downs']++;
              if (way.again !== undefined) {
                told.others++;
                expect(way.isGood && cards.has(way.again) && way.again !== mishap.piece).toBe(true);
                expect(ways.some((one) => one.isGood && one.again === undefined)).toBe(false);
              }
            }
            told.lost += Number(ways.length === 0);
            told.scores += ways
              .flatMap(({ sentences }) => sentences)
              .filter((sentence) => sentence.includes(': score at')).length;
            const chosen = ways[which % Math.max(1, ways.length)];
            if (!chosen) return;
            if (each === next) told.second++;
            cards = new Map([...after(chosen)].filter(([id]) => id !== chosen.again));
            now = chosen;
            // What stands comes back out of the stored box, with no step of the new job done yet.
            const job = planJob(now.plan, now.request, { boxes: 1, corners: 'round the base' });
            done = doneSoFar(now.plan, job, noProgress(1), now.request.made);
            expect(new Set(done.cut)).toEqual(new Set(cards.keys()));
            const known = (id: string, axis: string, index: number) =>
              done.scored.some(
                ({ piece, line }) => piece === id && line.axis === axis && line.index === index,
              );
            for (const [id, { lines: all }] of cards) {
              for (const { axis, index } of all) expect(known(id, axis, index)).toBe(true);
              const count = done.scored.filter(({ piece }) => piece === id).length;
              expect(count, id).toBe(all.length);
            }
          }
        },
      ),
      { numRuns: 150 },
    );
    for (const [what, count] of Object.entries(told))
      expect(count, what).toBeGreaterThanOrEqual(casesWanted(1));
  });

  it('is not of a box that has no such piece', () => {
    const request = usualRequest(sundial, 'inch');
    const result = planBox(request);
    if (!result.ok) throw new Error('The sundial has a box');
    const mishap = {
      kind: 'torn',
      piece: 'sail',
      edge: 'left',
      depth: inchFraction(1, 8),
    } as const;
    expect(() => rescue(result.plan, request, doneOn(result.plan, 1, 0), mishap)).toThrow('sail');
  });
});
