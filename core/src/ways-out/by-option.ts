import { formatWithUnit, type Length } from '../length/index.ts';
import { optionInQuestion, type PlanRequest, type Problem } from '../request/index.ts';
import { optionValue, styleSummary, withOption, type StyleOption } from '../styles/index.ts';
import type { WayOut } from './way-out.ts';

type Value = string | number | boolean;

function way(
  request: PlanRequest,
  { key, label }: StyleOption,
  value: Value,
  said: string,
): WayOut {
  const part = { style: withOption(request.style, key, value) };
  return { kind: 'option', said: `${label}: ${said}`, part };
}

/** Every other value of an option but figures, counts from the nearest on. */
function otherValues(request: PlanRequest, option: StyleOption): readonly WayOut[] {
  const now = optionValue(request.style, option.key);
  switch (option.kind) {
    case 'switch':
      return [way(request, option, now !== true, now === true ? 'no' : 'yes')];
    case 'count': {
      const count = Number(now);
      const counts = Array.from(
        { length: option.most - option.least + 1 },
        (_, i) => option.least + i,
      );
      return counts
        .filter((each) => each !== count)
        .sort((a, b) => Math.abs(a - count) - Math.abs(b - count))
        .map((each) => way(request, option, each, String(each)));
    }
    case 'choice':
    case 'depth':
      return option.values
        .filter(({ value }) => value !== now)
        .map(({ value, label }) => way(request, option, value, label.toLowerCase()));
  }
}

/** The option that a problem is about. */
function optionOf({ style }: PlanRequest, problem: Problem): StyleOption | undefined {
  const key = optionInQuestion(problem);
  return styleSummary(style.style).options.find((option) => option.key === key);
}

function figure(request: PlanRequest, option: StyleOption, nearest: Length): WayOut {
  return way(request, option, nearest, formatWithUnit(nearest, request.unit));
}

/** Ways out by the option that a problem is about: the figure nearest to what was asked, and its other values. */
export function waysByItsOption(request: PlanRequest, problem: Problem): readonly WayOut[] {
  const option = optionOf(request, problem);
  if (!option) return [];
  const { nearest } = problem;
  return [
    ...(nearest === undefined ? [] : [figure(request, option, nearest)]),
    ...otherValues(request, option),
  ];
}

/** Ways out by each of the options that no problem is about, the nearest value of each first. */
export function waysByOption(
  request: PlanRequest,
  problems: readonly Problem[],
): readonly (readonly WayOut[])[] {
  const asked = problems.map((problem) => optionOf(request, problem));
  return styleSummary(request.style.style)
    .options.filter((option) => !asked.includes(option))
    .map((option) => otherValues(request, option));
}
