import { z } from 'zod';
import type { PunchBoard } from '../piece/index.ts';
import type { StyleTraits } from './define-style.ts';
import { drawer } from './drawer.ts';
import { lidded } from './lidded.ts';
import { tallBox } from './tall-box.ts';
import { tuckEnd } from './tuck-end.ts';
import { overlapTop } from './overlap-top.ts';
import { rolledRim } from './rolled-rim.ts';
import { webCorner } from './web-corner.ts';
import { mailer } from './mailer.ts';
import { foldLock } from './fold-lock.ts';
import { basket } from './basket.ts';
import { carryTray } from './carry-tray.ts';
import { diamondWrap } from './diamond-wrap.ts';
import { manySided } from './many-sided.ts';
import { petalTop } from './petal-top.ts';
import { shell } from './shell.ts';
import { sleeve } from './sleeve.ts';
import { tower } from './tower.ts';
import { ringSeat } from './ring-seat.ts';
import { tentTop } from './tent-top.ts';
import { hingedLid } from './hinged-lid.ts';
import { pinchTop } from './pinch-top.ts';
import { gatheredTop } from './gathered-top.ts';
import { optionsOf, type StyleOption } from './options.ts';

const others = [
  drawer,
  sleeve,
  tallBox,
  tuckEnd,
  overlapTop,
  rolledRim,
  webCorner,
  mailer,
  foldLock,
  basket,
  carryTray,
  diamondWrap,
  manySided,
  petalTop,
  shell,
  tower,
  ringSeat,
  tentTop,
  hingedLid,
  pinchTop,
  gatheredTop,
] as const;

/** Every style, in the order in which makers look for them. */
const styles = [lidded, ...others] as const;

/** A style by name, with its options. */
export const styleChoiceSchema = z.discriminatedUnion('style', [
  lidded.choice,
  ...others.map(({ choice }) => choice),
]);
export type StyleChoice = z.infer<typeof styleChoiceSchema>;
export type StyleId = StyleChoice['style'];

/** What is shown of a style to choose it by. */
export interface StyleSummary {
  readonly id: StyleId;
  readonly name: string;
  readonly about: string;
  /** What each paper that may be chosen is for. */
  readonly papers: readonly string[];
  readonly options: readonly StyleOption[];
  /** The style with its usual options. */
  readonly usual: StyleChoice;
  /** The punch board that its lines can be made on, where there is one. */
  readonly punchBoard?: PunchBoard;
}

/** All styles, in the order in which makers look for them. */
export const allStyles: readonly StyleSummary[] = styles.map(
  ({ id, name, about, papers, options, usualChoice, punchBoard }) => ({
    id,
    name,
    about,
    papers,
    options: optionsOf(options),
    usual: usualChoice,
    ...(punchBoard && { punchBoard }),
  }),
);

function styleOf(id: StyleId) {
  return styles.find((style) => style.id === id) ?? lidded;
}

/** A style's summary by its id. */
export function styleSummary(id: StyleId): StyleSummary {
  const found = allStyles.find((style) => style.id === id);
  if (!found) throw new RangeError(`No style ${id}`);
  return found;
}

/** The style that a new project starts with. */
export const firstStyle: StyleChoice = lidded.usualChoice;

/** What the chosen style is like, whatever gift it goes round. */
export function traitsOf(choice: StyleChoice): StyleTraits {
  return styleOf(choice.style).traitsOf(choice.options);
}

/** What one of the options of a choice is set to; undefined for an option that its style does not have. */
export function optionValue({ options }: StyleChoice, key: string): unknown {
  return Object.entries<unknown>({ ...options }).find(([option]) => option === key)?.[1];
}

/** The same style with one option changed; as it was when the option can't be that. */
export function withOption(
  choice: StyleChoice,
  key: string,
  value: string | number | boolean,
): StyleChoice {
  const changed = styleChoiceSchema.safeParse({
    style: choice.style,
    options: { ...choice.options, [key]: value },
  });
  return changed.success ? changed.data : choice;
}
