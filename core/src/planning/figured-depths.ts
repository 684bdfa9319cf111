import {
  marksWindow,
  type Refusal,
  type SizeOf,
  type StyleDepth,
  type StyleFrame,
} from '../forms/index.ts';
import {
  formatWithUnit,
  half,
  inchFraction,
  largest,
  millimetres,
  minus,
  nanometres,
  plus,
  roundDown,
  roundUp,
  smallest,
  type Length,
} from '../length/index.ts';
import { optionValue, styleSummary, type StyleChoice } from '../styles/index.ts';
import { cuttingMeans, scoringMeans, type Kit } from '../tools/index.ts';
import type { PlanRequest } from '../request/index.ts';
import type { Plan } from './plan.ts';

/** The figure that is asked for by an option; undefined where it is left to a word. */
function figureOf(style: StyleChoice, option: string): Length | undefined {
  const asked = optionValue(style, option);
  return typeof asked === 'number' ? nanometres(asked) : undefined;
}

/** What its maker scores by, or else cuts by. */
function marksOf(kit: Kit) {
  return scoringMeans(kit) ?? cuttingMeans(kit) ?? { ...kit.board, step: kit.board.pitch };
}

/** The limits of a depth on the coarsest marks that stand between them, none of them beyond what it may be. */
function onMarks({ least, most }: StyleDepth, kit: Kit): Pick<StyleDepth, 'least' | 'most'> {
  const { step, unit } = marksOf(kit);
  const fine = unit === 'inch' ? inchFraction(1, 64) : millimetres(0.1);
  const limits = [step, fine].map((mark) => ({
    least: roundUp(least, mark),
    most: roundDown(most, mark),
  }));
  return limits.find((between) => between.least <= between.most) ?? { least, most };
}

/** Why a depth that is asked for as a figure can't be so on this box, with what it may be; undefined where all can. */
export function depthRefusal(
  frame: StyleFrame,
  { style, kit, unit }: Pick<PlanRequest, 'style' | 'kit' | 'unit'>,
): Refusal | undefined {
  for (const depth of frame.depths ?? []) {
    const asked = figureOf(style, depth.option);
    if (asked === undefined || (asked >= depth.least && asked <= depth.most)) continue;
    const { least, most } = onMarks(depth, kit);
    const option = styleSummary(style.style).options.find(({ key }) => key === depth.option);
    const name = option?.label ?? depth.option;
    const measures = option?.kind === 'depth' ? ` (${option.measures})` : '';
    const said = (length: Length) => formatWithUnit(length, unit);
    const nearest = smallest(largest(asked, least), most);
    const range =
      least === most ? `can only be ${said(least)}` : `can be ${said(least)} to ${said(most)}`;
    return {
      field: `style.options.${depth.option}`,
      message: `${name}${measures}: it ${range} on this box; ${said(asked)} is too ${asked > most ? 'much' : 'little'}.`,
      nearest,
    };
  }
  return undefined;
}

/** The frame with every depth that is asked for as a figure held to the mark that is nearest to it. */
export function withFigures(
  frame: StyleFrame,
  { style, kit, made }: Pick<PlanRequest, 'style' | 'kit' | 'made'>,
): StyleFrame {
  const set = new Map(
    (frame.depths ?? []).flatMap(({ option, sets }): readonly (readonly [string, Length])[] => {
      const asked = figureOf(style, option);
      return asked === undefined || !sets ? [] : [[sets.section, sets.to(asked)]];
    }),
  );
  if (set.size === 0) return frame;
  // What is scored already stays where it is.
  const near = made.length > 0 ? marksWindow({ kit }) : half(marksOf(kit).step);
  return {
    ...frame,
    sections: frame.sections.map(({ scant, ...section }) => {
      const target = set.get(section.id);
      if (target === undefined) return scant === undefined ? section : { ...section, scant };
      return {
        ...section,
        least: largest(minus(target, near), nanometres(1)),
        target,
        most: plus(target, near),
        weight: 1,
      };
    }),
  };
}

/** What the depths of a box come to, and what they may be. */
export function depthsOf({ depths = [] }: StyleFrame, size: SizeOf, kit: Kit): Plan['depths'] {
  return depths.map((depth) => ({
    option: depth.option,
    came: depth.comes(size),
    ...onMarks(depth, kit),
  }));
}
