import { Router } from 'express';
import { z } from 'zod';
import type { Announcer } from '../events/index.ts';
import { HttpProblem, readBody } from '../http/index.ts';
import { mostItems, type ItemStore } from './store.ts';

const idSchema = z.string().min(1).max(120);

/** Items of one kind over HTTP: list them, and change one. */
export function itemRoutes<Value>(store: ItemStore<Value>, announcer: Announcer): Router {
  const router = Router();
  const body = z.object({ revision: z.int().nonnegative(), value: store.schema });

  router.get('/', async (_request, response) => {
    response.json(await store.list());
  });

  router.put('/:id', async (request, response) => {
    const id = idSchema.safeParse(request.params.id);
    if (!id.success)
      throw new HttpProblem('bad-fields', 'The id of an item has 120 characters at the most.');
    const { revision, value } = readBody(request, body);
    const change = await store.put(id.data, revision, value);
    switch (change.outcome) {
      case 'changed':
        announcer.announce({ what: store.name, id: change.item.id });
        response.json(change.item);
        return;
      case 'full':
        throw new HttpProblem(
          'bad-fields',
          `${mostItems} are kept here at the most. Take one away before you add another.`,
        );
      case 'stale':
        throw new HttpProblem(
          'stale',
          'It was changed meanwhile, in another window or on another device. Nothing was overwritten.',
          {
            errors: [{ field: 'revision', message: 'The revision is not the latest.' }],
            current: change.current,
          },
        );
    }
  });

  return router;
}
