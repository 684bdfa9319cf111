import { planBox, withFinishedSize } from '../planning/index.ts';
import { planRequestSchema, type PlanRequest, type Problem } from '../request/index.ts';
import { waysByMeasure, waysByRoom, waysByRows, waysBySharing, waysByTurning } from './by-gift.ts';
import { waysByKind } from './by-kind.ts';
import { waysByItsOption, waysByOption } from './by-option.ts';
import { waysBySheet } from './by-sheet.ts';
import { waysByUndressing, waysByWearing } from './by-wearing.ts';
import { waysByLean, waysByTools } from './by-tools.ts';
import type { WayOut } from './way-out.ts';

/** Ways of one sort, the nearest to what was asked first, and how many of them are enough. */
interface Family {
  readonly ways: readonly WayOut[];
  readonly enough: number;
}

/** So many ways out are enough to choose between. */
const enoughWays = 6;
/** So many ways of each sort are tried together with a second one. */
const triesInPairs = 3;

function familiesOf(request: PlanRequest, problems: readonly Problem[]): readonly Family[] {
  const byItsOption = problems.flatMap((problem) => waysByItsOption(request, problem));
  const byMeasure = problems.flatMap((problem) => waysByMeasure(request, problem));
  return [
    { ways: waysByWearing(request, problems), enough: 2 },
    { ways: byItsOption, enough: 2 },
    { ways: waysBySheet(request, problems), enough: 1 },
    { ways: waysByTurning(request), enough: 1 },
    { ways: waysByRows(request), enough: 2 },
    { ways: waysByTools(request), enough: 1 },
    ...waysByOption(request, problems).map((ways) => ({ ways, enough: 1 })),
    { ways: waysByRoom(request), enough: 1 },
    { ways: byMeasure, enough: 1 },
    { ways: waysByLean(request), enough: 1 },
    { ways: waysByUndressing(request), enough: 1 },
    { ways: waysBySharing(request), enough: 1 },
  ];
}

function changed(request: PlanRequest, { part }: WayOut): PlanRequest {
  return withFinishedSize({ ...request, ...part });
}

/** A change may lead beyond what a request may hold, as to a sheet that is too small: that is no way out. */
function canBeMade(request: PlanRequest): boolean {
  return planRequestSchema.safeParse(request).success && planBox(request).ok;
}

/** Tries each of these ways, and tells which lead out until there are enough. */
function* tried(
  request: PlanRequest,
  { ways, enough }: Family,
): Generator<WayOut | undefined, void> {
  let found = 0;
  for (const way of ways) {
    if (found === enough) return;
    const leadsOut = canBeMade(changed(request, way));
    if (leadsOut) found++;
    yield leadsOut ? way : undefined;
  }
}

/** Both of two ways, the other after the one. */
function both(one: WayOut, other: WayOut): WayOut {
  const said = `${one.said}, then ${other.said}`;
  return { kind: one.kind, said, part: { ...one.part, ...other.part } };
}

/** Two ways together, where no single one leads out: a change and the figure or the sheet that it then needs. */
function* triedInPairs(
  request: PlanRequest,
  ways: readonly WayOut[],
): Generator<WayOut | undefined, void> {
  for (const way of ways) {
    const half = changed(request, way);
    const result = planBox(half);
    yield undefined;
    const left = result.ok ? [] : result.problems;
    const next = [
      ...left.flatMap((problem) => waysByItsOption(half, problem).slice(0, 1)),
      ...waysBySheet(half, left),
    ];
    for (const found of tried(half, { ways: next, enough: 1 })) {
      yield found && both(way, found);
      if (found) return;
    }
  }
}

/**
 * Ways out of a request that can't be planned, each of them tried: with it there is a plan. Nearest to what was
 * asked for first. Between two tries it yields nothing, so that whoever asks can do something else meanwhile.
 */
export function* findWaysOut(
  request: PlanRequest,
  problems: readonly Problem[],
): Generator<WayOut | undefined, void> {
  const families = familiesOf(request, problems);
  const kinds = { ways: waysByKind(request), enough: 2 };
  const pairs = families.flatMap((family) => family.ways.slice(0, triesInPairs));
  let found = 0;
  const tries = [
    ...families.map((family) => () => tried(request, family)),
    () => (found > 0 ? [] : triedInPairs(request, pairs)),
    () => tried(request, kinds),
    () => (found > 0 ? [] : triedInPairs(request, kinds.ways)),
  ];
  for (const begin of tries) {
    for (const way of begin()) {
      yield way;
      if (way && ++found === enoughWays) return;
    }
  }
}

/** All of the ways out at once. */
export function waysOut(request: PlanRequest, problems: readonly Problem[]): readonly WayOut[] {
  return [...findWaysOut(request, problems)].flatMap((way) => way ?? []);
}
