import { projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { z } from 'zod';

/** A change that waits in this browser since a version that kept it otherwise: without what it was made to. */
export interface EarlierChange {
  readonly id: string;
  readonly revision: number;
  readonly document: ProjectDocument;
  readonly forget: () => void;
}

const prefix = 'rangoli.unsaved.';
const keptSchema = z.object({ revision: z.int(), document: projectDocumentSchema });

function valueIn(text: string | null): unknown {
  try {
    return text === null ? undefined : JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** All changes that earlier versions have left in this browser. */
export function earlierChanges(): readonly EarlierChange[] {
  return Object.keys(localStorage).flatMap((key) => {
    if (!key.startsWith(prefix)) return [];
    const kept = keptSchema.safeParse(valueIn(localStorage.getItem(key)));
    if (!kept.success) return [];
    const forget = () => {
      localStorage.removeItem(key);
    };
    return [{ id: key.slice(prefix.length), ...kept.data, forget }];
  });
}
