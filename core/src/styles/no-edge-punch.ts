import type { StyleAnswer } from '../forms/index.ts';
import { formatWithUnit } from '../length/index.ts';
import { borderPunches, type Kit } from '../tools/index.ts';

/** A refusal where no edge punch of a kit is small enough for what is to be bordered, or there is none. */
export function noEdgePunch(
  { trimmer: { unit }, punches }: Pick<Kit, 'trimmer' | 'punches'>,
  {
    option,
    asked,
    tooSmall,
  }: {
    readonly option: string;
    /** What was asked for, as a maker calls it. */
    readonly asked: string;
    /** What there is no room on, as the end of a sentence. */
    readonly tooSmall: string;
  },
): StyleAnswer {
  const narrowest = borderPunches(punches).at(-1);
  const message =
    narrowest === undefined
      ? `${asked}: there is no edge punch in this kit. Add yours in Tools.`
      : `${asked}: the border of the smallest edge punch is ${formatWithUnit(narrowest, unit)} wide, and ${tooSmall}.`;
  return { ok: false, refusal: { field: `style.options.${option}`, message } };
}
