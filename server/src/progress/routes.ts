import { progressFactsSchema } from '@rangoli/core';
import { Router } from 'express';
import { z } from 'zod';
import type { Announcer } from '../events/index.ts';
import { HttpProblem, readBody } from '../http/index.ts';
import type { ProgressStore } from './store.ts';

const body = z.object({ facts: progressFactsSchema });

function missing(): HttpProblem {
  return new HttpProblem('not-found', 'There is no such box. It may have been deleted.');
}

/** How far a box has been made, over HTTP: read what is known, and add to it. */
export function progressRoutes(store: ProgressStore, announcer: Announcer): Router {
  const router = Router();

  router.get('/:id', async (request, response) => {
    const facts = await store.read(request.params.id);
    if (!facts) throw missing();
    response.json({ facts });
  });

  router.post('/:id', async (request, response) => {
    const { facts } = readBody(request, body);
    const all = await store.add(request.params.id, facts);
    if (!all) throw missing();
    announcer.announce({ what: 'progress', id: request.params.id });
    response.json({ facts: all });
  });

  return router;
}
