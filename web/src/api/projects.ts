import { projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { z } from 'zod';
import { ask, ServerRefusal } from './ask.ts';

export { Unreachable } from './ask.ts';

const projectSchema = z.object({
  id: z.string(),
  revision: z.int(),
  updatedAt: z.string(),
  document: projectDocumentSchema,
});
/** A project as the server keeps it. */
export type StoredProject = z.infer<typeof projectSchema>;

const listSchema = z.object({ projects: z.array(projectSchema) });
/** The server's refusal, in its own sentence. */
export class Refusal extends Error {
  readonly status: number;
  /** What stands on the server, when somebody else changed it first. */
  readonly current: StoredProject | undefined;

  constructor(status: number, message: string, current?: StoredProject) {
    super(message);
    this.status = status;
    this.current = current;
  }
}

async function askProjects(method: string, path: string, body?: unknown, keepalive = false) {
  try {
    return await ask(method, `/projects${path}`, body, keepalive);
  } catch (error) {
    if (!(error instanceof ServerRefusal)) throw error;
    const current = projectSchema.safeParse(error.current);
    throw new Refusal(error.status, error.message, current.success ? current.data : undefined);
  }
}

export async function listProjects(): Promise<readonly StoredProject[]> {
  return listSchema.parse(await askProjects('GET', '')).projects;
}

export async function readProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await askProjects('GET', `/${id}`));
}

export async function createProject(document: ProjectDocument): Promise<StoredProject> {
  return projectSchema.parse(await askProjects('POST', '', { document }));
}

/** Stores a change made to `revision`. `keepalive` lets it outlive the page. */
export async function updateProject(
  id: string,
  revision: number,
  document: ProjectDocument,
  keepalive = false,
): Promise<StoredProject> {
  return projectSchema.parse(await askProjects('PUT', `/${id}`, { revision, document }, keepalive));
}

export async function duplicateProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await askProjects('POST', `/${id}/duplicate`));
}

export async function deleteProject(id: string): Promise<void> {
  await askProjects('DELETE', `/${id}`);
}

export async function restoreProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await askProjects('POST', `/${id}/restore`));
}
