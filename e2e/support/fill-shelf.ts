import { newProject } from '@rangoli/core';
import { z } from 'zod';

const totalSchema = z.object({ total: z.int() });
const own = { 'x-rangoli': 'bench', 'content-type': 'application/json' };
/** So many are put there at a time. */
const atOnce = 20;

/** Puts boxes on the shelf of a server until there are so many. */
export async function fillShelf(origin: string, boxes: number): Promise<void> {
  const document = newProject('inch');
  const { total } = totalSchema.parse(await (await fetch(`${origin}/api/projects`)).json());
  for (let i = total; i < boxes; i += atOnce)
    await Promise.all(
      Array.from({ length: Math.min(atOnce, boxes - i) }, (_, j) =>
        fetch(`${origin}/api/projects`, {
          method: 'POST',
          headers: own,
          body: JSON.stringify({ document: { ...document, name: `Box ${String(i + j)}` } }),
        }),
      ),
    );
}
