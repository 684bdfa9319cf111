import { boxAt } from '../addresses.ts';
import type { BrowserStore } from '../keeping/browser-store.ts';

/** Takes away what the server has shown, once the page shows it itself, or must not show it so. */
export function leaveFirstSight(): void {
  document.getElementById('first-sight')?.remove();
}

/** Whether a field of the box holds what was typed and can’t be taken yet: its plan is told to be an earlier one. */
function hasDraft(box: string): boolean {
  return sessionStorage.getItem('rangoli.drafts')?.includes(`"${box} `) ?? false;
}

/**
 * Takes away what the server has shown at a path where this browser knows the box better, or a box on the shelf: nobody
 * cuts by an older plan.
 */
export async function leaveOlderSight(path: string, opening: Promise<BrowserStore>): Promise<void> {
  const box = boxAt(path);
  if (box !== undefined && hasDraft(box)) leaveFirstSight();
  const changes = await (await opening).list('changes', 'boxes');
  if (changes.some(({ key }) => box === undefined || key[1] === box)) leaveFirstSight();
}
