import { z } from 'zod';

const changeSchema = z.object({
  what: z.enum(['boxes', 'progress', 'tools', 'lessons']),
  id: z.string(),
  revision: z.int().optional(),
});
/** Something that the server keeps has changed, here or elsewhere. */
export type Change = z.infer<typeof changeSchema>;

export interface ChangeListener {
  readonly onChange: (change: Change) => void;
  /** The line stands, for the first time or again: whatever happened in between was not heard. */
  readonly onOpen: () => void;
}

function changeIn(data: unknown): Change | undefined {
  if (typeof data !== 'string') return undefined;
  try {
    const parsed = changeSchema.safeParse(JSON.parse(data));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

/** Listens to the server until the function that is given back is called. */
export function listenToChanges({ onChange, onOpen }: ChangeListener): () => void {
  if (!('EventSource' in globalThis)) return () => undefined;
  const source = new EventSource('/api/events');
  source.addEventListener('open', onOpen);
  source.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    const change = changeIn(data);
    if (change) onChange(change);
  });
  return () => {
    source.close();
  };
}
