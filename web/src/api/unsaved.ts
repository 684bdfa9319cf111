import { projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { z } from 'zod';

const unsavedSchema = z.object({ revision: z.int(), document: projectDocumentSchema });
/** A change that has not reached the server yet, kept in this browser. */
export type Unsaved = z.infer<typeof unsavedSchema>;

function key(id: string): string {
  return `rangoli.unsaved.${id}`;
}

/** Undefined when nothing is kept, or what is kept can't be read any more. */
export function readUnsaved(id: string): Unsaved | undefined {
  const text = localStorage.getItem(key(id));
  if (text === null) return undefined;
  try {
    const parsed = unsavedSchema.safeParse(JSON.parse(text));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

export function keepUnsaved(id: string, revision: number, document: ProjectDocument): void {
  try {
    localStorage.setItem(key(id), JSON.stringify({ revision, document }));
  } catch {
    // A full or forbidden store only means that this second net is missing.
  }
}

export function forgetUnsaved(id: string): void {
  localStorage.removeItem(key(id));
}
