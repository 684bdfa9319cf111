import { Router } from 'express';
import { z } from 'zod';
import { readBody } from '../http/index.ts';
import type { KeptDocument } from './store.ts';

/** A kept document over HTTP, under its own name: read and write. */
export function keptRoutes<Document>(kept: KeptDocument<Document>): Router {
  const router = Router();
  const body = z.object({ [kept.name]: kept.schema });

  router.get('/', async (_request, response) => {
    response.json({ [kept.name]: await kept.read() });
  });

  router.put('/', async (request, response) => {
    const document = kept.schema.parse(readBody(request, body)[kept.name]);
    await kept.write(document);
    response.json({ [kept.name]: document });
  });

  return router;
}
