import type { ProjectDocument } from '@rangoli/core';
import { Refusal, Unreachable, type StoredProject } from '../api/projects.ts';

/** How things stand between this browser and the server. */
export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'changed' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'unreachable' }
  | { readonly kind: 'refused'; readonly message: string }
  /** Changed elsewhere meanwhile; the maker chooses. */
  | { readonly kind: 'conflict'; readonly theirs: StoredProject };

export interface SaverParts {
  readonly save: (revision: number, document: ProjectDocument) => Promise<StoredProject>;
  readonly onState: (state: SaveState) => void;
  /** Called with what the server now holds. */
  readonly onSaved: (project: StoredProject) => void;
}

/** Whether two documents say the same. Both have been through the schema, so their keys are in one order. */
export function isSameDocument(a: ProjectDocument, b: ProjectDocument): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Milliseconds of quiet before a change is sent, and between tries while the server is away. */
const quiet = 500;
const retry = 3000;

/** Sends changes one after the other, the latest only, and never over somebody else's. */
export class Saver {
  readonly #parts: SaverParts;
  #revision: number;
  #pending: ProjectDocument | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #sending = false;
  #halted = false;

  constructor(revision: number, parts: SaverParts) {
    this.#revision = revision;
    this.#parts = parts;
  }

  get revision(): number {
    return this.#revision;
  }

  /** What has not reached the server yet. */
  get pending(): ProjectDocument | undefined {
    return this.#pending;
  }

  change(document: ProjectDocument): void {
    this.#pending = document;
    if (this.#halted) return;
    if (!this.#sending) this.#parts.onState({ kind: 'changed' });
    this.#schedule(quiet);
  }

  /** Goes on from another revision, after the maker has chosen between two states. */
  resume(revision: number): void {
    this.#revision = revision;
    this.#halted = false;
    if (this.#pending) void this.flush();
    else this.#parts.onState({ kind: 'saved' });
  }

  /** Drops what was not sent. */
  drop(): void {
    this.#pending = undefined;
    clearTimeout(this.#timer);
  }

  /** Sends now what is pending. */
  async flush(): Promise<void> {
    clearTimeout(this.#timer);
    const document = this.#pending;
    if (!document || this.#sending || this.#halted) return;
    this.#sending = true;
    this.#parts.onState({ kind: 'saving' });
    try {
      this.#succeed(document, await this.#parts.save(this.#revision, document));
    } catch (error) {
      const current = error instanceof Refusal ? error.current : undefined;
      // The answer to an earlier try was lost on the way: it did arrive.
      if (current && isSameDocument(current.document, document)) this.#succeed(document, current);
      else this.#fail(error);
    } finally {
      this.#sending = false;
    }
  }

  #succeed(document: ProjectDocument, project: StoredProject): void {
    this.#revision = project.revision;
    if (this.#pending === document) this.#pending = undefined;
    this.#parts.onSaved(project);
    this.#parts.onState(this.#pending ? { kind: 'changed' } : { kind: 'saved' });
    if (this.#pending) this.#schedule(quiet);
  }

  #fail(error: unknown): void {
    if (error instanceof Refusal && error.current) {
      this.#halted = true;
      this.#parts.onState({ kind: 'conflict', theirs: error.current });
    } else if (error instanceof Unreachable) {
      this.#parts.onState({ kind: 'unreachable' });
      this.#schedule(retry);
    } else {
      const message = error instanceof Error ? error.message : 'Saving failed.';
      this.#parts.onState({ kind: 'refused', message });
    }
  }

  #schedule(delay: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.flush(), delay);
  }
}
