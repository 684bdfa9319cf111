import {
  noFacts,
  noProgress,
  progressFactsSchema,
  progressOf,
  tell,
  type ProgressFacts,
} from '@rangoli/core';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { eachServed, missing, problemOf } from '../testing/served.ts';

const served = eachServed();

describe('the making of a box', () => {
  const answer = z.object({ facts: progressFactsSchema });

  async function factsNow(id: string): Promise<ProgressFacts> {
    return answer.parse(
      await (await served.now().send('GET', `/${id}`, undefined, served.now().making)).json(),
    ).facts;
  }

  it('holds what every device has told, whatever came first, after a restart too', async () => {
    const { id } = await served.now().create('Pocket sundial');
    expect(progressOf(await factsNow(id))).toEqual(noProgress());
    const progress = { ...noProgress(6), done: { 'cut base': 4 }, at: 'cut base' };
    const tablet = tell(noFacts(), progress, { time: 2, by: 'tablet' });
    const computer = tell(
      noFacts(),
      { ...noProgress(), done: { 'cut lid': 2 } },
      { time: 1, by: 'computer' },
    );
    for (const facts of [tablet, computer, tablet])
      expect(
        (await served.now().send('POST', `/${id}`, { facts }, served.now().making)).status,
      ).toBe(200);
    await served.now().close();
    await served.now().open();
    expect(progressOf(await factsNow(id))).toEqual({
      ...progress,
      done: { 'cut base': 4, 'cut lid': 2 },
    });
  });

  it('loses no tick of many that come at the same moment', async () => {
    const { id } = await served.now().create('Moon-phase top');
    const told = Array.from({ length: 12 }, (_, i) =>
      tell(
        noFacts(),
        { ...noProgress(), done: { [`step ${String(i)}`]: 1 } },
        { time: i, by: `device ${String(i)}` },
      ),
    );
    await Promise.all(
      told.map((facts) => served.now().send('POST', `/${id}`, { facts }, served.now().making)),
    );
    expect(Object.keys(progressOf(await factsNow(id)).done)).toHaveLength(12);
  });

  it('is kept for two hundred boxes that are ticked one by one through twenty steps', async () => {
    const { id } = await served.now().create('Planet marbles');
    const ticks = Object.fromEntries(
      Array.from({ length: 20 }, (_, step) => [
        `step ${String(step)} of the marbles`,
        Array.from({ length: 200 }, (__, copy) => ({
          from: copy,
          to: copy + 1,
          done: true,
          at: {
            time: 1_795_000_000_000 + 200 * step + copy,
            by: 'the tablet on the table, by its name',
          },
        })),
      ]),
    );
    const facts = { ...noFacts(), ticks };
    const { making } = served.now();
    expect((await served.now().send('POST', `/${id}`, { facts }, making)).status).toBe(200);
    expect(Object.values(progressOf(await factsNow(id)).done)).toEqual(Array(20).fill(200));
  });

  it('goes on from a count that was stored before', async () => {
    const { id } = await served.now().create('Night tea tin');
    await served
      .now()
      .database('progress')
      .insert({
        project: id,
        document: JSON.stringify({ ...noProgress(6), done: { 'cut base': 4 } }),
        updated_at: '',
      });
    expect(progressOf(await factsNow(id))).toEqual({ ...noProgress(6), done: { 'cut base': 4 } });
  });

  it('is refused in words where it is none', async () => {
    const { id } = await served.now().create('Hand lens');
    const none = { ...noFacts(), boxes: { value: 0, at: { time: 1, by: 'tablet' } } };
    const problem = await problemOf(
      await served.now().send('POST', `/${id}`, { facts: none }, served.now().making),
    );
    expect(problem.errors?.[0]).toEqual({
      field: 'facts.boxes.value',
      message: 'Make one box at least.',
    });
    for (const refused of [
      await served.now().send('GET', `/${missing}`, undefined, served.now().making),
      await served.now().send('POST', `/${missing}`, { facts: noFacts() }, served.now().making),
    ])
      expect((await problemOf(refused)).status).toBe(404);
  });
});
