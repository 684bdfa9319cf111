import { projectDocumentSchema } from '@rangoli/core';
import { Router } from 'express';
import { z } from 'zod';
import { HttpProblem, readBody } from '../http/index.ts';
import type { Project } from './project.ts';
import type { ProjectStore } from './store.ts';

const createBody = z.object({ document: projectDocumentSchema });
const updateBody = z.object({ revision: z.int().positive(), document: projectDocumentSchema });

function found(project: Project | undefined): Project {
  if (!project)
    throw new HttpProblem('not-found', 'There is no such box. It may have been deleted.');
  return project;
}

/** Projects over HTTP: list, create, read, update, duplicate, delete and its undo. */
export function projectRoutes(store: ProjectStore): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await store.list());
  });

  router.post('/', async (request, response) => {
    const { document } = readBody(request, createBody);
    response.status(201).json(await store.create(document));
  });

  router.get('/:id', async (request, response) => {
    response.json(found(await store.read(request.params.id)));
  });

  router.put('/:id', async (request, response) => {
    const { revision, document } = readBody(request, updateBody);
    const change = await store.update(request.params.id, revision, document);
    switch (change.outcome) {
      case 'changed':
        response.json(change.project);
        return;
      case 'missing':
        found(undefined);
        return;
      case 'stale':
        throw new HttpProblem(
          'stale',
          `This change was made to revision ${revision}, and the box is at ${change.current.revision}. Nothing was overwritten.`,
          {
            errors: [{ field: 'revision', message: 'The revision is not the latest.' }],
            current: change.current,
          },
        );
    }
  });

  router.post('/:id/duplicate', async (request, response) => {
    response.status(201).json(found(await store.duplicate(request.params.id)));
  });

  router.delete('/:id', async (request, response) => {
    if (!(await store.delete(request.params.id))) found(undefined);
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    response.json(found(await store.restore(request.params.id)));
  });

  return router;
}
