import { Piscina } from 'piscina';
import type { Logger } from 'pino';
import type { Project } from '../projects/index.ts';

/** Milliseconds that a page waits for what is seen first. */
const patience = 250;
/** So many are remembered: a page is loaded far more often than its box changes. */
const mostRemembered = 50;

interface Remembered {
  readonly revision: number;
  readonly sight: Promise<string | undefined>;
}

export interface FirstSightParts {
  /** Where the built script lies that makes them. */
  readonly script: string;
  readonly logger: Logger;
}

/** What is seen of boxes before their page can show them itself: planned and drawn in a thread of its own. */
export class FirstSights {
  readonly #pool: Piscina;
  readonly #logger: Logger;
  readonly #remembered = new Map<string, Remembered>();

  constructor({ script, logger }: FirstSightParts) {
    this.#logger = logger;
    this.#pool = new Piscina({ filename: script, minThreads: 1, maxThreads: 1 });
    // Without it pages come as they are: nothing else is to stop for it.
    this.#pool.on('error', (error) => logger.warn(error));
    // The script comes before anybody asks.
    this.#pool.run(undefined, { name: 'ready' }).catch((error: unknown) => logger.warn(error));
  }

  /** The HTML of a box; nothing where there is none for it, or none in good time. */
  async of(box: Project): Promise<string | undefined> {
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<undefined>((resolve) => {
      timer = setTimeout(() => resolve(undefined), patience);
    });
    const sight = await Promise.race([this.#sightOf(box), late]);
    clearTimeout(timer);
    return sight;
  }

  async close(): Promise<void> {
    await this.#pool.destroy();
  }

  #sightOf({ id, revision, document }: Project): Promise<string | undefined> {
    const known = this.#remembered.get(id);
    this.#remembered.delete(id);
    const sight = known?.revision === revision ? known.sight : this.#draw({ id, document });
    this.#remembered.set(id, { revision, sight });
    const [oldest] = this.#remembered.keys();
    if (this.#remembered.size > mostRemembered && oldest !== undefined)
      this.#remembered.delete(oldest);
    return sight;
  }

  async #draw(box: Pick<Project, 'id' | 'document'>): Promise<string | undefined> {
    try {
      const sight: unknown = await this.#pool.run(box, { name: 'renderFirstSight' });
      return typeof sight === 'string' ? sight : undefined;
    } catch (error) {
      this.#logger.warn(error);
      return undefined;
    }
  }
}
