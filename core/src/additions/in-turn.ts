import type { Gift } from '../gift/index.ts';
import type { Length, Unit } from '../length/index.ts';
import type { Papers } from '../paper/index.ts';
import { cuttingMeans, type Kit } from '../tools/index.ts';
import type { DressBrief, Undressed } from './addition.ts';
import type { FlatFace } from './flat-faces.ts';
import { papersOfOne, papersWorn } from './papers-worn.ts';
import { additionOf, type AdditionChoice } from './registry.ts';
import { roomTaken } from './take-room.ts';

/** What a box is to wear, and how that is made. */
export interface DressRequest {
  readonly additions: readonly AdditionChoice[];
  /** The papers of the box’s own pieces, each its own, and then those of what it wears. */
  readonly papers: Papers;
  readonly kit: Kit;
  readonly unit: Unit;
  readonly gift: Gift;
}

/** The step that cuts are made in. */
export function stepOfCuts(kit: Kit): Length {
  return cuttingMeans(kit)?.step ?? kit.trimmer.step;
}

/** Where something lies in the box: at its walls, among what is put in one after the other, or next to the gift. */
function nearness(choice: AdditionChoice): 0 | 1 | 2 {
  const { goesRound } = additionOf(choice);
  return goesRound === 'under all' ? 0 : goesRound === 'within all' ? 2 : 1;
}

/** For each of the additions those that lie nearer to the gift than it does: what is put in later does. */
function nearerThanEach(additions: readonly AdditionChoice[]) {
  const each = additions.map((choice) => ({ choice, near: nearness(choice) }));
  return each.map(({ near }, i) =>
    each.flatMap((other, j) =>
      other.near > near || (other.near === near && j > i) ? [other.choice] : [],
    ),
  );
}

/** How wide the ribbon is that goes through a band; undefined where none does. */
function ribbonThroughBand(additions: readonly AdditionChoice[]): Length | undefined {
  return additions.flatMap((choice) =>
    choice.addition === 'ribbon' && choice.way === 'band' ? [choice.width] : [],
  )[0];
}

/** Each addition with the faces that those before it have left, and how it is cut. */
export function eachInTurn<Result>(
  { additions, papers, kit, unit, gift }: DressRequest,
  bare: Undressed,
  put: (choice: AdditionChoice, box: Undressed, brief: DressBrief) => Result,
): readonly Result[] {
  const taken: FlatFace[] = [];
  const firstBand = additions.find(({ addition }) => addition === 'band');
  const nearer = nearerThanEach(additions);
  const step = stepOfCuts(kit);
  let firstPaper = papers.length - papersWorn(additions).length;
  return additions.map((choice, i) => {
    const addition = additionOf(choice);
    const box = { ...bare, taken: [...taken] };
    const inner = roomTaken(nearer[i] ?? [], gift);
    const field = `additions.${i}`;
    const threaded = choice === firstBand ? ribbonThroughBand(additions) : undefined;
    const result = put(choice, box, {
      ...{ field, firstPaper, step, kit, unit, gift, inner },
      ...(threaded !== undefined && { threaded }),
    });
    taken.push(...addition.takes(box));
    firstPaper += papersOfOne(choice).length;
    return result;
  });
}
