import { longestName, projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { isPassing, ServerRefusal } from '../api/ask.ts';
import {
  createProject,
  projectSchema,
  readProject,
  updateProject,
  type StoredProject,
} from '../api/projects.ts';
import { earlierChanges, type EarlierChange } from './earlier-changes.ts';
import { Keeper, type KeeperParts } from './keeper.ts';
import { mergeBoxes } from './merge-boxes.ts';
import { canFit, readyToFit } from '../planner/finished-size.ts';
import type { Held, Replica } from './replica.ts';
import { sentBy } from './send.ts';

/** What came of opening a box. */
export type OpenedBox =
  | {
      readonly kind: 'open';
      readonly replica: Replica<ProjectDocument>;
      /** Why it is the one of this browser: the server did not answer. */
      readonly away?: string;
    }
  | { readonly kind: 'missing' }
  | { readonly kind: 'failed'; readonly message: string };

function heldOf({ revision, document }: StoredProject): Held<ProjectDocument> {
  return { revision, value: document };
}

/** Milliseconds after which a box that this browser knows is opened without the server, and between asking again. */
const patience = 2500;
const askAgain = 3000;

type Read =
  | { readonly kind: 'read'; readonly held: Held<ProjectDocument> }
  | { readonly kind: 'missing' }
  | { readonly kind: 'failed'; readonly message: string; readonly isAway: boolean };

/** Asks the server for a box. */
export async function readBox(id: string): Promise<Read> {
  try {
    return { kind: 'read', held: heldOf(await readProject(id)) };
  } catch (error) {
    if (error instanceof ServerRefusal && error.status === 404) return { kind: 'missing' };
    return {
      kind: 'failed',
      message: error instanceof Error ? error.message : 'That did not work. Try again.',
      isAway: !(error instanceof ServerRefusal) || isPassing(error.status),
    };
  }
}

const slow: Read = {
  kind: 'failed',
  message: 'Rangoli’s server has not answered yet.',
  isAway: true,
};

function inGoodTime(reading: Promise<Read>): Promise<Read> {
  return Promise.race([
    reading,
    new Promise<Read>((resolve) => setTimeout(() => resolve(slow), patience)),
  ]);
}

/** Waits until changes of these boxes can be brought together, but not for ever: the box is opened all the same. */
async function readyToMerge(...boxes: readonly (ProjectDocument | undefined)[]): Promise<void> {
  if (boxes.every((each) => each === undefined || canFit(each.box))) return;
  await Promise.race([readyToFit(), new Promise((resolve) => setTimeout(resolve, patience))]);
}

/** The name of a box that comes from another one: that of the other with what it is, however long it was. */
export function nameFrom(name: string, what: string): string {
  const suffix = `, ${what}`;
  return name.slice(0, longestName - suffix.length) + suffix;
}

/** A new box made from another one, which goes on beside it and tells what has changed. */
export function forAnotherGift(
  from: Pick<ProjectDocument, 'name' | 'box'>,
  box: ProjectDocument['box'],
): ProjectDocument {
  const { name } = from;
  return { version: 1, name: nameFrom(name, 'another gift'), box, basis: { name, box: from.box } };
}

/** A box to stand beside the one that it comes from. */
export function asOwnBox(document: ProjectDocument): ProjectDocument {
  return { ...document, name: nameFrom(document.name, 'mine') };
}

/** The boxes that this window works on. */
export class Boxes {
  readonly #keeper: Keeper<ProjectDocument>;

  constructor(parts: Pick<KeeperParts<ProjectDocument>, 'store' | 'windows' | 'onWaiting'>) {
    this.#keeper = new Keeper({
      ...parts,
      name: 'boxes',
      schema: projectDocumentSchema,
      merge: mergeBoxes,
      send: (id, revision, document, { keepalive }) =>
        sentBy(updateProject(id, revision, document, keepalive).then(heldOf), (told) => {
          const current = projectSchema.safeParse(told);
          return current.success ? heldOf(current.data) : undefined;
        }),
    });
  }

  get keeper(): Keeper<ProjectDocument> {
    return this.#keeper;
  }

  /**
   * Opens a box: as the server holds it, with the changes that wait here. Where the server is away, as this
   * browser knows it.
   * @param reading what the server was asked already
   */
  async open(id: string, reading = readBox(id)): Promise<OpenedBox> {
    const worked = this.#keeper.replica(id);
    if (worked) {
      void this.#hear(id, reading);
      return { kind: 'open', replica: worked };
    }
    const [[orphan], last] = await Promise.all([
      this.#keeper.orphans(id),
      this.#keeper.lastHeld(id),
    ]);
    const known = orphan?.waiting.base ?? last;
    const answer = await (known ? inGoodTime(reading) : reading);
    await readyToMerge(
      orphan?.waiting.mine,
      known?.value,
      answer.kind === 'read' ? answer.held.value : undefined,
    );
    // Opened by another view of this window meanwhile.
    const other = this.#keeper.replica(id);
    if (other) {
      if (answer.kind === 'read') other.hear(answer.held);
      return { kind: 'open', replica: other };
    }
    if (answer.kind === 'read')
      return { kind: 'open', replica: this.#keeper.start(id, answer.held, orphan) };
    // What waits for a box that was deleted elsewhere is not thrown away.
    if (answer.kind === 'missing' && !orphan) {
      await this.#keeper.forget(id);
      return answer;
    }
    if (!known || (answer.kind === 'failed' && !answer.isAway)) {
      return answer.kind === 'failed' ? answer : { kind: 'missing' };
    }
    const replica = this.#keeper.start(id, known, orphan);
    if (answer.kind === 'missing') return { kind: 'open', replica };
    void this.#hear(id, reading);
    return { kind: 'open', replica, away: answer.message };
  }

  /** Asks what the server holds of a box that this window works on. */
  refresh(id: string, revision?: number): void {
    const replica = this.#keeper.replica(id);
    // Told of what it knows, as of its own changes, it need not ask.
    if (replica && (revision === undefined || revision > replica.revision))
      void this.#hear(id, readBox(id));
  }

  /** Goes on with what windows have left that are not there any more. */
  async takeUp(): Promise<void> {
    const orphans = await this.#keeper.orphans();
    await readyToMerge(...orphans.map(({ waiting }) => waiting.mine));
    for (const orphan of orphans)
      if (!this.#keeper.replica(orphan.id))
        this.#keeper.start(orphan.id, orphan.waiting.base, orphan);
    for (const earlier of earlierChanges())
      try {
        if (await this.#goOnFrom(earlier)) earlier.forget();
      } catch {
        // It waits for the next visit.
      }
  }

  /**
   * Goes on from a change of an earlier version, where its box is still as it was; else it becomes a box of its
   * own, for what it was made to is not known. False when the server does not answer.
   */
  async #goOnFrom({ id, revision, document }: EarlierChange): Promise<boolean> {
    const answer = await readBox(id);
    if (answer.kind === 'failed') return false;
    if (answer.kind === 'read') {
      if (JSON.stringify(answer.held.value) === JSON.stringify(document)) return true;
      const replica = this.#keeper.replica(id) ?? this.#keeper.start(id, answer.held);
      if (
        answer.held.revision === revision &&
        replica.revision === revision &&
        !replica.isWaiting
      ) {
        replica.change(document);
        return true;
      }
    }
    await createProject(asOwnBox(document));
    return true;
  }

  /** Asks what the server holds, until it answers, as long as this window works on the box. */
  async #hear(id: string, reading: Promise<Read>): Promise<void> {
    const answer = await reading;
    const replica = this.#keeper.replica(id);
    if (!replica) return;
    if (answer.kind === 'read') replica.hear(answer.held);
    else if (answer.kind === 'failed' && answer.isAway)
      setTimeout(() => void this.#hear(id, readBox(id)), askAgain);
  }
}
