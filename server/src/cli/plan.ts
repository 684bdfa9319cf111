/* npm run -s plan -- FILE.json [--fold DIR] [--check]: plans a request or a project from the command line. */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import {
  checkFolding,
  cutSizeOf,
  cutUnit,
  foldFile,
  foldingBox,
  formatSize,
  outermostPoints,
  paperFor,
  papersOf,
  planBox,
  problemsFrom,
  projectDocumentSchema,
  type Plan,
  type PlanRequest,
  type Problem,
  type Unit,
  unitSchema,
  waysOut,
  type WayOut,
} from '@rangoli/core';
import { z } from 'zod';
import { Complaint, complainingly } from '../complaint.ts';
import { completeRequest } from './short-request.ts';

interface Asked {
  readonly title: string;
  readonly request: PlanRequest;
}

function readText(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    throw new Complaint(
      `${file} can’t be read. Give the name of a JSON file, or - for standard input.`,
    );
  }
}

function readAsked(file: string): Asked {
  let content: unknown;
  try {
    content = JSON.parse(readText(file));
  } catch (error) {
    if (error instanceof Complaint) throw error;
    throw new Complaint(`${file} is not JSON. Give a plan request or a project.`);
  }
  if (typeof content === 'object' && content !== null && 'box' in content) {
    const parsed = projectDocumentSchema.safeParse(content);
    if (parsed.success) return { title: parsed.data.name, request: parsed.data.box };
    throw complaintOf(problemsFrom(parsed.error, unitOf(content.box)));
  }
  const completed = completeRequest(content);
  if (!completed.ok) throw complaintOf(completed.problems);
  return { title: 'Box', request: completed.request };
}

/** The unit that a request is written in, however little else of it is right. */
function unitOf(box: unknown): Unit {
  const { unit } = z
    .object({ unit: unitSchema.catch('mm') })
    .catch({ unit: 'mm' })
    .parse(box);
  return unit;
}

function complaintOf(problems: readonly Problem[], ways: readonly WayOut[] = []): Complaint {
  return new Complaint(
    [
      ...problems.slice(0, 5).map(({ field, message }) => `${field}: ${message}`),
      ...ways.map(({ said }) => `This would do: ${said}.`),
    ].join('\n'),
  );
}

function planned(request: PlanRequest): Plan {
  const result = planBox(request);
  if (result.ok) return result.plan;
  throw complaintOf(result.problems, waysOut(request, result.problems));
}

/** A plan as it is printed: each piece with the size that it is cut to, in words too. */
function printed(plan: Plan, { kit }: PlanRequest) {
  const pieces = plan.pieces.map(({ grid, ...piece }) => {
    const { width, height } = cutSizeOf(grid);
    return {
      ...piece,
      cut: { width, height, said: formatSize(width, height, cutUnit(kit)) },
      grid,
    };
  });
  return { ...plan, pieces };
}

function writeFolds(directory: string, title: string, plan: Plan): void {
  mkdirSync(directory, { recursive: true });
  for (const piece of plan.pieces)
    writeFileSync(
      join(directory, `${piece.id}.fold`),
      `${JSON.stringify(foldFile(title, piece), null, 1)}\n`,
    );
}

/** Prints what the folded box says; false when something in it doesn't hold. */
function check(plan: Plan, request: PlanRequest): boolean {
  const box = foldingBox(
    plan.pieces,
    ({ paper }) => paperFor(papersOf(request), paper).thickness,
    plan.assembly,
  );
  const faults = checkFolding(box, outermostPoints(plan.gift));
  const checks = [
    'closing',
    'turning',
    'stacks',
    'lying',
    'crossing',
    'opening',
    'cavity',
    'gift',
  ] as const;
  for (const about of checks) {
    const found = faults.filter((fault) => fault.about === about);
    console.log(
      `${about}: ${found.length === 0 ? 'holds' : found.map(({ message }) => message).join('; ')}`,
    );
  }
  for (const { outer, inner, state, gap } of plan.pairs)
    console.log(`${outer} over ${inner}: ${state}, ${(gap / 1_000_000).toFixed(2)} mm`);
  return faults.length === 0;
}

const usage = 'Use: npm run -s plan -- FILE.json [--fold DIR] [--check]';

function asked() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: { fold: { type: 'string' }, check: { type: 'boolean', default: false } },
    });
  } catch {
    throw new Complaint(usage);
  }
}

function main(): void {
  const { values, positionals } = asked();
  const [file, ...more] = positionals;
  if (file === undefined || more.length > 0) throw new Complaint(usage);
  const { title, request } = readAsked(file);
  const plan = planned(request);
  if (values.fold !== undefined) writeFolds(values.fold, title, plan);
  if (values.check) {
    if (!check(plan, request)) process.exitCode = 1;
  } else console.log(JSON.stringify(printed(plan, request), null, 2));
}

await complainingly(() => Promise.resolve().then(main));
