import { toolboxSchema } from '@rangoli/core';
import { Router } from 'express';
import { z } from 'zod';
import { readBody } from '../http/index.ts';
import type { ToolboxStore } from './store.ts';

const body = z.object({ toolbox: toolboxSchema });

/** The maker's tools over HTTP: read and write. */
export function toolboxRoutes(store: ToolboxStore): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json({ toolbox: await store.read() });
  });

  router.put('/', async (request, response) => {
    const { toolbox } = readBody(request, body);
    await store.write(toolbox);
    response.json({ toolbox });
  });

  return router;
}
