import { progressSchema } from '@rangoli/core';
import { Router } from 'express';
import { z } from 'zod';
import { HttpProblem, readBody } from '../http/index.ts';
import type { ProgressStore } from './store.ts';

const body = z.object({ progress: progressSchema });

function missing(): HttpProblem {
  return new HttpProblem('not-found', 'There is no such box. It may have been deleted.');
}

/** How far a box has been made, over HTTP: read and write. */
export function progressRoutes(store: ProgressStore): Router {
  const router = Router();

  router.get('/:id', async (request, response) => {
    const progress = await store.read(request.params.id);
    if (!progress) throw missing();
    response.json({ progress });
  });

  router.put('/:id', async (request, response) => {
    const { progress } = readBody(request, body);
    if (!(await store.write(request.params.id, progress))) throw missing();
    response.json({ progress });
  });

  return router;
}
