import type { Project } from '../projects/index.ts';

/** What has been made of boxes, as long as they are not changed; of many the ones that were made last. */
export class Remembered<Made> {
  readonly #most: number;
  readonly #made = new Map<string, { readonly revision: number; readonly made: Made }>();

  constructor({ most }: { readonly most: number }) {
    this.#most = most;
  }

  /** What was made of the box as it is now. */
  of({ id, revision }: Pick<Project, 'id' | 'revision'>): Made | undefined {
    const known = this.#made.get(id);
    return known?.revision === revision ? known.made : undefined;
  }

  keep({ id, revision }: Pick<Project, 'id' | 'revision'>, made: Made): void {
    this.#made.delete(id);
    this.#made.set(id, { revision, made });
    const [oldest] = this.#made.keys();
    if (this.#made.size > this.#most && oldest !== undefined) this.#made.delete(oldest);
  }
}
