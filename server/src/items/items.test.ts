import {
  millimetres,
  shippedPapers,
  shippedToolbox,
  stockPaper,
  toolboxOf,
  toolItemSchema,
} from '@rangoli/core';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { migrations } from '../database/migrations.ts';
import { eachServed, problemOf } from '../testing/served.ts';
import { lessonItems, toolItems } from './store.ts';

const served = eachServed();

describe('the maker’s tools', () => {
  const tools = () => served.now().making.replace('progress', 'tools');
  const listSchema = z.object({
    items: z.array(z.object({ id: z.string(), revision: z.int(), value: toolItemSchema })),
    unreadable: z.array(z.string()),
  });
  const list = async () =>
    listSchema.parse(await (await served.now().send('GET', '', undefined, tools())).json());
  const board = shippedToolbox.boards[0]?.tool;
  const owned = { kind: 'boards', owned: true, tool: board, added: 0 };

  it('are changed one by one, and nobody writes over a change that they have not seen', async () => {
    expect(await list()).toEqual({ items: [], unreadable: [] });
    const path = `/${board?.id ?? ''}`;
    expect(
      (await served.now().send('PUT', path, { revision: 0, value: owned }, tools())).status,
    ).toBe(200);
    const stale = await served
      .now()
      .send('PUT', path, { revision: 0, value: { kind: 'gone' } }, tools());
    expect(await problemOf(stale)).toMatchObject({
      status: 409,
      current: { id: board?.id, revision: 1, value: owned },
    });
    await served.now().close();
    await served.now().open();
    expect((await list()).items).toEqual([{ id: board?.id, revision: 1, value: owned }]);
    const next = { ...owned, owned: false };
    expect(
      (await served.now().send('PUT', path, { revision: 1, value: next }, tools())).status,
    ).toBe(200);
    expect((await list()).items).toMatchObject([{ revision: 2, value: next }]);
  });

  it('take only one of many changes of one tool at the same moment, and all of many tools', async () => {
    const put = (id: string) =>
      served.now().send('PUT', `/${id}`, { revision: 0, value: { kind: 'gone' } }, tools());
    const same = await Promise.all(Array.from({ length: 8 }, () => put('one')));
    expect(same.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    await Promise.all(Array.from({ length: 8 }, (_, i) => put(`tool ${String(i)}`)));
    expect((await list()).items).toHaveLength(9);
  });

  it('are refused by the field where a number is none', async () => {
    const value = { ...owned, tool: { ...board, pitch: 0 } };
    const problem = await problemOf(
      await served.now().send('PUT', '/x', { revision: 0, value }, tools()),
    );
    expect(problem.errors?.[0]?.field).toBe('value.tool.pitch');
    expect(problem.errors?.[0]?.message).toMatch(/at least 0.25 mm/);
  });

  it('are all told but for one that can’t be read, which is named', async () => {
    await served.now().send('PUT', `/x`, { revision: 0, value: owned }, tools());
    await served.now().database('items').insert({
      collection: 'tools',
      id: 'from the future',
      revision: 4,
      value: '{"kind":"laser"',
      created_at: '',
      updated_at: '',
    });
    expect(await list()).toMatchObject({ items: [{ id: 'x' }], unreadable: ['from the future'] });
  });
});

describe('what trial boxes have taught', () => {
  it('is nothing at first, and then stays', async () => {
    const address = served.now().making.replace('progress', 'lessons');
    const nothing = { items: [], unreadable: [] };
    expect(await (await served.now().send('GET', '', undefined, address)).json()).toEqual(nothing);
    const { id, thickness, gaps } = stockPaper('comet');
    const value = { id, thickness, gaps };
    expect((await served.now().send('PUT', `/${id}`, { revision: 0, value }, address)).status).toBe(
      200,
    );
    expect(await (await served.now().send('GET', '', undefined, address)).json()).toEqual({
      items: [{ id, revision: 1, value }],
      unreadable: [],
    });
  });
});

describe('the maker’s papers', () => {
  it('are kept one by one, and one that can’t be folded or has no sheet is refused by its field', async () => {
    const address = served.now().making.replace('progress', 'papers');
    const put = (paper: unknown) =>
      served
        .now()
        .send(
          'PUT',
          '/own',
          { revision: 0, value: { kind: 'paper', paper, away: false, added: 1 } },
          address,
        );
    const [dusk] = shippedPapers;
    const own = { ...dusk, id: 'own', name: 'Indigo', weight: 300 };
    const refused = await put({ ...own, sheets: [] });
    expect(refused.status).toBe(422);
    expect(await refused.text()).toContain('Say at least one size of sheet');
    expect((await put({ ...own, thickness: millimetres(3) })).status).toBe(422);
    expect((await put(own)).status).toBe(200);
    expect(await (await served.now().send('GET', '', undefined, address)).json()).toMatchObject({
      items: [{ id: 'own', revision: 1, value: { paper: own } }],
    });
  });
});

describe('a database of before tools had rows', () => {
  it('gives each of them its own, and loses none', async () => {
    const { database } = served.now();
    while (await database.schema.hasTable('items'))
      await database.migrate.down({ migrationSource: migrations });
    const [first] = shippedToolbox.boards;
    const own = { owned: true, tool: { ...first?.tool, id: 'own', name: 'Own board' } };
    const toolbox = {
      ...shippedToolbox,
      boards: [...shippedToolbox.boards.slice(1), own],
      without: ['trimmers'],
    };
    const { id, thickness, gaps } = stockPaper('comet');
    await served
      .now()
      .database('meta')
      .insert([
        { key: 'toolbox', value: JSON.stringify(toolbox) },
        {
          key: 'lessons',
          value: JSON.stringify({ version: 1, papers: [{ id, thickness, gaps }] }),
        },
      ]);
    await served.now().close();
    await served.now().open();
    const { items } = await toolItems(served.now().database).list();
    const kept = toolboxOf(new Map(items.map((item) => [item.id, item.value])));
    expect(kept).toEqual(toolbox);
    expect((await lessonItems(served.now().database).list()).items).toMatchObject([
      { id, value: { gaps } },
    ]);
  });
});
