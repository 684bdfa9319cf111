import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { planBox, planSchema, usualRequest, inchFraction } from '@rangoli/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const sundial = {
  shape: 'block' as const,
  across: inchFraction(37, 16),
  deep: inchFraction(37, 16),
  high: inchFraction(9, 16),
};
const request = usualRequest(sundial, 'inch');
const loader = pathToFileURL(createRequire(import.meta.url).resolve('tsx')).href;
let folder: string;

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'rangoli-cli-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

function run(args: readonly string[], input?: string) {
  const program = join(import.meta.dirname, 'plan.ts');
  const node = ['--conditions=source', '--import', loader, program];
  return spawnSync(process.execPath, [...node, ...args], {
    cwd: folder,
    encoding: 'utf8',
    ...(input !== undefined && { input }),
  });
}

describe('the command line', () => {
  it('prints the plan of a request or of a project, from a file or standard input', () => {
    const project = { version: 1, name: 'Pocket sundial', box: request };
    writeFileSync(join(folder, 'sundial.json'), JSON.stringify(project));
    const fromFile = run(['sundial.json']);
    expect(fromFile.stderr).toBe('');
    const planned = planBox(request);
    const printed = planSchema.parse(JSON.parse(fromFile.stdout));
    expect(printed).toEqual(planned.ok && planned.plan);
    const fromInput = run(['-'], JSON.stringify(request));
    expect(fromInput.status).toBe(0);
    expect(fromInput.stdout).toBe(fromFile.stdout);
  });

  it('writes a FOLD file for each piece, and prints what the folding proves', () => {
    const done = run(['-', '--check', '--fold', 'folds'], JSON.stringify(request));
    expect(done.status).toBe(0);
    expect(done.stdout).toMatch(
      /^closing: holds\nturning: holds\nstacks: holds\nlying: holds\ncrossing: holds\nopening: holds\ncavity: holds/,
    );
    expect(done.stdout).toContain('lid over base: holds, 0.39 mm');
    expect(readdirSync(join(folder, 'folds')).sort()).toEqual(['base.fold', 'lid.fold']);
    const fold: unknown = JSON.parse(readFileSync(join(folder, 'folds', 'base.fold'), 'utf8'));
    expect(fold).toMatchObject({ file_spec: 1.2, frame_unit: 'mm' });
  });

  it.each([
    [[], undefined, /^Use: npm run -s plan/],
    [['--nonsense', 'x.json'], undefined, /^Use: npm run -s plan/],
    [['nowhere.json'], undefined, /^nowhere\.json can’t be read\. Give the name of a JSON file/],
    [['-'], '{"version": ', /^- is not JSON\. Give a plan request or a project\./],
    [['-'], '{"version": 2}', /^version: .+\.$/m],
    [
      ['-'],
      JSON.stringify({ ...request, gift: { ...sundial, across: inchFraction(30, 1) } }),
      /^papers\.0\.sheet: The base needs a piece of .+ is 12 × 12 in\.\n(.+\n)*(This would do: .+\.\n)+/m,
    ],
  ])('answers %j with a sentence and no trace (%#)', (args, input, sentence) => {
    const done = run(args, input);
    expect(done.status).not.toBe(0);
    expect(done.stdout).toBe('');
    expect(done.stderr).toMatch(sentence);
    expect(done.stderr).not.toMatch(/\bat .+:\d+/);
  });
});
