import { z } from 'zod';
import { ask } from './ask.ts';

/** Things that are kept one by one beside the boxes. */
export type ItemList = 'tools' | 'papers' | 'lessons';

/** An item as the server sends it; its value is for its reader to check. */
export const itemSchema = z.object({ id: z.string(), revision: z.int(), value: z.unknown() });
export type StoredItem = z.infer<typeof itemSchema>;

const listSchema = z.object({ items: z.array(itemSchema), unreadable: z.array(z.string()) });

export async function listItems(list: ItemList): Promise<readonly StoredItem[]> {
  return listSchema.parse(await ask('GET', `/${list}`)).items;
}

/** Stores a change made to `revision`, 0 for an item that was not there. `keepalive` lets it outlive the page. */
export async function putItem(
  list: ItemList,
  { id, revision, value }: StoredItem,
  keepalive: boolean,
): Promise<StoredItem> {
  const path = `/${list}/${encodeURIComponent(id)}`;
  return itemSchema.parse(await ask('PUT', path, { revision, value }, keepalive));
}
