import { z } from 'zod';

const changeSchema = z.object({
  what: z.enum(['boxes', 'progress', 'tools', 'papers', 'lessons']),
  id: z.string(),
  revision: z.int().optional(),
});
/** Something that the server keeps has changed, here or elsewhere. */
export type Change = z.infer<typeof changeSchema>;

export interface ChangeListener {
  readonly onChange: (change: Change) => void;
  /** The line stands, for the first time or again: whatever happened in between was not heard. */
  readonly onOpen: () => void;
  /** The line has broken, or none comes about: it is tried again. */
  readonly onLost: () => void;
  /** The server gives no line, as to a device that is not signed in; it is asked again. */
  readonly onRefused: () => void;
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

/** Milliseconds after which a line is asked for again that the server has refused. */
const askAgain = 5000;

/** Listens to the server until the function that is given back is called. */
export function listenToChanges({
  onChange,
  onOpen,
  onLost,
  onRefused,
}: ChangeListener): () => void {
  if (!('EventSource' in globalThis)) return () => undefined;
  let source: EventSource;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const open = () => {
    source = new EventSource('/api/events');
    source.addEventListener('open', onOpen);
    source.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
      const change = changeIn(data);
      if (change) onChange(change);
    });
    source.addEventListener('error', () => {
      // A line that broke comes again by itself; one that was refused doesn't.
      if (source.readyState !== EventSource.CLOSED) {
        onLost();
        return;
      }
      onRefused();
      timer = setTimeout(open, askAgain);
    });
  };
  open();
  return () => {
    clearTimeout(timer);
    source.close();
  };
}
