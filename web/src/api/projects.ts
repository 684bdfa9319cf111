import { projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { z } from 'zod';

const projectSchema = z.object({
  id: z.string(),
  revision: z.int(),
  updatedAt: z.string(),
  document: projectDocumentSchema,
});
/** A project as the server keeps it. */
export type StoredProject = z.infer<typeof projectSchema>;

const listSchema = z.object({ projects: z.array(projectSchema) });
const problemSchema = z.object({ detail: z.string(), current: projectSchema.optional() });

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

/** The server could not be asked at all. */
export class Unreachable extends Error {
  constructor() {
    super('Rangoli’s server doesn’t answer. Check that it is running.');
  }
}

async function ask(method: string, path: string, body?: unknown, keepalive = false) {
  let response: Response;
  try {
    response = await fetch(`/api/projects${path}`, {
      method,
      keepalive,
      ...(body !== undefined && {
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      }),
    });
  } catch {
    throw new Unreachable();
  }
  if (response.status === 204) return undefined;
  // A proxy in front of a stopped server answers with a page of its own.
  const isJson = response.headers.get('content-type')?.includes('json') ?? false;
  if (!isJson) throw new Unreachable();
  const answer: unknown = await response.json();
  if (response.ok) return answer;
  const problem = problemSchema.safeParse(answer);
  if (!problem.success) throw new Refusal(response.status, 'The server refused this.');
  throw new Refusal(response.status, problem.data.detail, problem.data.current);
}

export async function listProjects(): Promise<readonly StoredProject[]> {
  return listSchema.parse(await ask('GET', '')).projects;
}

export async function readProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await ask('GET', `/${id}`));
}

export async function createProject(document: ProjectDocument): Promise<StoredProject> {
  return projectSchema.parse(await ask('POST', '', { document }));
}

/** Stores a change made to `revision`. `keepalive` lets it outlive the page. */
export async function updateProject(
  id: string,
  revision: number,
  document: ProjectDocument,
  keepalive = false,
): Promise<StoredProject> {
  return projectSchema.parse(await ask('PUT', `/${id}`, { revision, document }, keepalive));
}

export async function duplicateProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await ask('POST', `/${id}/duplicate`));
}

export async function deleteProject(id: string): Promise<void> {
  await ask('DELETE', `/${id}`);
}

export async function restoreProject(id: string): Promise<StoredProject> {
  return projectSchema.parse(await ask('POST', `/${id}/restore`));
}
