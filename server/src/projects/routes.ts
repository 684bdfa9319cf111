import { problemsFrom, projectDocumentSchema } from '@rangoli/core';
import { Router } from 'express';
import { z } from 'zod';
import { jsonIn } from '../database/index.ts';
import type { Announcer } from '../events/index.ts';
import { HttpProblem, readBody } from '../http/index.ts';
import type { Project } from './project.ts';
import {
  shelfOrders,
  wholeShelf,
  type ProjectStore,
  type ShelfPlace,
  type ShelfQuery,
} from './store.ts';

const createBody = z.object({ document: projectDocumentSchema });
const updateBody = z.object({ revision: z.int().positive(), document: projectDocumentSchema });

/** The most boxes of one part of the shelf. */
const mostListed = 100;
/** The most boxes that are named of those that were deleted. */
const mostDeleted = 200;

const placeSchema = z.object({ value: z.string(), id: z.string() });

/** A place on the shelf as a text that nobody need understand. */
function placeInText(place: ShelfPlace): string {
  return Buffer.from(JSON.stringify(place)).toString('base64url');
}

const placeText = z
  .string()
  .max(1000)
  .transform((text, context): ShelfPlace => {
    const parsed = placeSchema.safeParse(jsonIn(Buffer.from(text, 'base64url').toString()));
    if (parsed.success) return parsed.data;
    context.addIssue({
      code: 'custom',
      message: 'This place on the shelf is none. Begin from the first part.',
    });
    return z.NEVER;
  });

const listQuery = z.object({
  search: z.string().max(200).default(wholeShelf.search),
  order: z.enum(shelfOrders).default(wholeShelf.order),
  kind: z.string().max(100).optional(),
  paper: z.string().max(200).optional(),
  limit: z.coerce.number().int().min(1).max(mostListed).default(wholeShelf.limit),
  after: placeText.optional(),
});

/** @throws HttpProblem when the words of the address mean nothing. */
function queryOf(query: unknown): ShelfQuery {
  const parsed = listQuery.safeParse(query);
  if (!parsed.success) {
    const errors = problemsFrom(parsed.error, 'mm');
    throw new HttpProblem('bad-fields', errors.map(({ message }) => message).join(' '), { errors });
  }
  const { after, kind, paper, ...asked } = parsed.data;
  return {
    ...asked,
    ...(kind !== undefined && { kind }),
    ...(paper !== undefined && { paper }),
    ...(after && { after }),
  };
}

function found(project: Project | undefined): Project {
  if (!project)
    throw new HttpProblem('not-found', 'There is no such box. It may have been deleted.');
  return project;
}

/** Projects over HTTP: list, create, read, update, duplicate, delete and its undo. */
export function projectRoutes(store: ProjectStore, announcer: Announcer): Router {
  const router = Router();
  const announce = ({ id, revision }: Pick<Project, 'id' | 'revision'>) => {
    announcer.announce({ what: 'boxes', id, revision });
  };

  router.get('/', async (request, response) => {
    const asked = queryOf(request.query);
    const { next, ...part } = await store.list(asked);
    response.json({ ...part, ...(next && { next: placeInText(next) }) });
  });

  router.post('/', async (request, response) => {
    const { document } = readBody(request, createBody);
    const made = await store.create(document);
    announce(made);
    response.status(201).json(made);
  });

  router.get('/contents', async (_, response) => {
    response.json(await store.contents());
  });

  router.get('/deleted', async (_, response) => {
    response.json({ deleted: await store.listDeleted(mostDeleted) });
  });

  router.get('/:id', async (request, response) => {
    response.json(found(await store.read(request.params.id)));
  });

  router.put('/:id', async (request, response) => {
    const { revision, document } = readBody(request, updateBody);
    const change = await store.update(request.params.id, revision, document);
    switch (change.outcome) {
      case 'changed':
        announce(change.project);
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
    const made = found(await store.duplicate(request.params.id));
    announce(made);
    response.status(201).json(made);
  });

  router.delete('/:id', async (request, response) => {
    if (!(await store.delete(request.params.id))) found(undefined);
    announcer.announce({ what: 'boxes', id: request.params.id });
    response.status(204).end();
  });

  router.post('/:id/restore', async (request, response) => {
    const restored = found(await store.restore(request.params.id));
    announce(restored);
    response.json(restored);
  });

  return router;
}
