import { v4 as newId } from 'uuid';

/** The windows of this browser that have Rangoli open, as far as they answer. */
export interface Windows {
  /** This window, from its loading to its end. */
  readonly own: string;
  /** The others that are alive. */
  readonly others: () => Promise<ReadonlySet<string>>;
}

type Message = { readonly kind: 'who is there' } | { readonly kind: 'here'; readonly id: string };

function messageIn(data: unknown): Message | undefined {
  if (typeof data !== 'object' || data === null || !('kind' in data)) return undefined;
  if (data.kind === 'who is there') return { kind: data.kind };
  if (data.kind === 'here' && 'id' in data && typeof data.id === 'string')
    return { kind: data.kind, id: data.id };
  return undefined;
}

/** Milliseconds within which a living window answers. */
const answersWithin = 150;

/** Joins the windows of this browser: answers those that ask, and can ask itself. */
export function joinWindows(): Windows {
  const own = newId();
  if (!('BroadcastChannel' in globalThis))
    return { own, others: () => Promise.resolve(new Set<string>()) };
  const channel = new BroadcastChannel('rangoli windows');
  const heard = new Set<string>();
  channel.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    const message = messageIn(data);
    if (message?.kind === 'who is there') channel.postMessage({ kind: 'here', id: own });
    else if (message) heard.add(message.id);
  });
  return {
    own,
    others: async () => {
      heard.clear();
      channel.postMessage({ kind: 'who is there' });
      await new Promise((resolve) => setTimeout(resolve, answersWithin));
      return new Set(heard);
    },
  };
}
