import { projectDocumentSchema } from '@rangoli/core';
import { describe, expect, it } from 'vitest';
import { eachServed } from '../testing/served.ts';
import { demoProjects, seedDemo } from './index.ts';

const served = eachServed();

describe('the demo shelf', () => {
  it('fills a new served.now().database once', async () => {
    await seedDemo(served.now().database);
    expect([...(await served.now().names())].reverse()).toEqual(
      demoProjects().map(({ name }) => name),
    );
    for (const document of demoProjects())
      expect(projectDocumentSchema.parse(JSON.parse(JSON.stringify(document)))).toEqual(document);
    await seedDemo(served.now().database);
    expect(await served.now().names()).toHaveLength(demoProjects().length);
  });

  it('never touches somebody’s own boxes', async () => {
    const { id } = await served.now().create('My own');
    await expect(seedDemo(served.now().database)).rejects.toThrow(/own boxes/);
    // A deleted box can still be brought back, so it counts as well.
    await served.now().send('DELETE', `/${id}`);
    await expect(seedDemo(served.now().database)).rejects.toThrow(/own boxes/);
    expect(await served.now().names()).toEqual([]);
  });
});
