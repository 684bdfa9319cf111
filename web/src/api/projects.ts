import { projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { z } from 'zod';
import { ask } from './ask.ts';

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
});
/** What is on the shelf, and what on it can't be read. */
export type Shelf = z.infer<typeof listSchema>;

export async function listProjects(): Promise<Shelf> {
  return listSchema.parse(await ask('GET', '/projects'));
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

export async function restoreProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await ask('POST', `/projects/${id}/restore`));
}
