import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { formatsPage, schemas, workedRequest } from './formats.ts';
import { allStyles, planBox, planRequestSchema } from '../src/index.ts';
import { faultsInSpace } from '../src/testing/proof.ts';

const docs = resolve(import.meta.dirname, '../../docs');

/** What a page says, however its lines are laid out. */
function bare(text: string): string {
  return text.replace(/\s+/g, '').replace(/\|[-|]+\|/g, '');
}

describe('the page on formats', () => {
  it('and the published schemas are what the core does: npm run docs writes them anew', () => {
    expect(bare(readFileSync(resolve(docs, 'formats.md'), 'utf8'))).toBe(bare(formatsPage()));
    for (const [file, content] of schemas())
      expect(bare(readFileSync(resolve(docs, 'schema', file), 'utf8')), file).toBe(bare(content));
  });

  it.each(allStyles.map((style) => ({ name: style.name, style })))(
    'has a request for the $name that can be made',
    ({ style }) => {
      const request = planRequestSchema.parse(JSON.parse(JSON.stringify(workedRequest(style))));
      const result = planBox(request);
      if (!result.ok) throw new Error(result.problems[0]?.message);
      expect(faultsInSpace(result.plan, request)).toEqual([]);
    },
  );
});
