import {
  inchFraction,
  millimetres,
  nanometres,
  times,
  type Length,
  type Unit,
} from '../length/index.ts';
import { windowFilm } from '../paper/index.ts';
import type { Undressed } from './addition.ts';
import { bareBox } from './bare-box.ts';
import { stepOfCuts, type DressRequest } from './in-turn.ts';
import { undressed, type DressedBox } from './undress.ts';
import { choiceOf, isSameFace, type FaceChoice } from './face-choice.ts';
import { boundsOf } from './outline.ts';
import { noRoomTaken } from './room-taken.ts';
import { isWindowIn } from './window.ts';

/** A face that may have a window, and how much card is usually left round it there. */
export interface WindowPlace {
  readonly face: FaceChoice;
  readonly frame: Length;
}

/** How much card is left round a window: as much as looks well, or what a small face leaves. */
const usualFrames: Readonly<Record<Unit, readonly Length[]>> = {
  inch: [inchFraction(3, 4), inchFraction(1, 2), inchFraction(1, 4), inchFraction(1, 8)],
  mm: [millimetres(20), millimetres(12), millimetres(6), millimetres(3)],
};

/** A face is so many times as wide as the card beside its window, at the least. */
const frameShare = 6;

/** The faces of a planned box that look into the room for the gift and may have a window with film behind it. */
export function windowPlaces(request: DressRequest, plan: DressedBox): readonly WindowPlace[] {
  const { papers, kit, unit, gift } = request;
  const box: Undressed = undressed(bareBox(plan), papers, plan.pairs);
  const brief = {
    field: '',
    firstPaper: papers.length,
    step: stepOfCuts(kit),
    kit,
    unit,
    gift,
    inner: noRoomTaken,
  };
  const found: WindowPlace[] = [];
  for (const { name, outline } of box.faces.all()) {
    const face = choiceOf(name);
    if (found.some((each) => isSameFace(each.face, face))) continue;
    const { left, right, bottom, top } = boundsOf(outline);
    const narrow = nanometres(Math.floor(Math.min(right - left, top - bottom) * 1e6));
    const looksWell = (each: Length) => times(each, frameShare) <= narrow;
    const does = (each: Length) =>
      isWindowIn(
        {
          addition: 'window',
          id: 'window',
          on: face,
          opening: { shape: 'straight', frame: each },
          film: windowFilm,
        },
        box,
        brief,
      );
    const usual = usualFrames[unit].filter(does);
    const frame = usual.find(looksWell) ?? usual.at(-1);
    if (frame !== undefined) found.push({ face, frame });
  }
  return found;
}
