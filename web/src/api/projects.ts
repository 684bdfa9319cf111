import { projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { z } from 'zod';
import { ask } from './ask.ts';
import { contentsPath, shelfPath, type ShelfQuery } from './shelf-paths.ts';

/** A project as the server sends it. */
export const projectSchema = z.object({
  id: z.string(),
  revision: z.int(),
  updatedAt: z.string(),
  document: projectDocumentSchema,
});
/** A project as the server keeps it. */
export type StoredProject = z.infer<typeof projectSchema>;

const listSchema = z.object({
  projects: z.array(projectSchema),
  unreadable: z.array(z.object({ id: z.string(), name: z.string() })),
  total: z.int(),
  next: z.string().optional(),
});
/** A part of the shelf: what on it can't be read, how many boxes there are in all, and where it goes on. */
export type Shelf = z.infer<typeof listSchema>;

export async function listProjects(query: ShelfQuery): Promise<Shelf> {
  return listSchema.parse(await ask('GET', shelfPath(query)));
}

const countedSchema = z.array(z.object({ value: z.string(), boxes: z.int() }));
const contentsSchema = z.object({ kinds: countedSchema, papers: countedSchema });
/** What there is on the shelf: kinds of box by their ids, papers by their names. */
export type ShelfContents = z.infer<typeof contentsSchema>;
/** A kind or a paper, and how many boxes there are of it. */
export type Counted = ShelfContents['kinds'][number];

export async function readContents(): Promise<ShelfContents> {
  return contentsSchema.parse(await ask('GET', contentsPath));
}

export async function readProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await ask('GET', `/projects/${id}`));
}

export async function createProject(document: ProjectDocument): Promise<StoredProject> {
  return projectSchema.parse(await ask('POST', '/projects', { document }));
}

/** Stores a change made to `revision`. `keepalive` lets it outlive the page. */
export async function updateProject(
  id: string,
  revision: number,
  document: ProjectDocument,
  keepalive = false,
): Promise<StoredProject> {
  return projectSchema.parse(
    await ask('PUT', `/projects/${id}`, { revision, document }, keepalive),
  );
}

export async function duplicateProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await ask('POST', `/projects/${id}/duplicate`));
}

export async function deleteProject(id: string): Promise<void> {
  await ask('DELETE', `/projects/${id}`);
}

const deletedSchema = z.object({
  deleted: z.array(z.object({ id: z.string(), name: z.string(), deletedAt: z.string() })),
});
/** A box that was deleted, and can be put back. */
export type DeletedProject = z.infer<typeof deletedSchema>['deleted'][number];

/** The boxes that were deleted, the last first. */
export async function listDeleted(): Promise<readonly DeletedProject[]> {
  return deletedSchema.parse(await ask('GET', '/projects/deleted')).deleted;
}

export async function restoreProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await ask('POST', `/projects/${id}/restore`));
}
