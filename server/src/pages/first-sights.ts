import { Piscina } from 'piscina';
import type { Logger } from 'pino';
import type { Project, Shelf, ShelfContents } from '../projects/index.ts';
import { Remembered } from './remembered.ts';

/** Milliseconds that a page waits for what is seen first. */
const patience = 250;
/** Milliseconds in which no page was asked for, after which the cards of a shelf are drawn: no page waits for them. */
const untilQuiet = 3000;
/** So many boxes stand on the shelf that is seen first: as many as a large window shows. */
const mostOnShelf = 12;

export interface FirstSightParts {
  /** Where the built script lies that makes them. */
  readonly script: string;
  readonly logger: Logger;
  /** Milliseconds until the cards are drawn. */
  readonly quiet?: number;
}

/** The shelf as it is opened. */
export interface SeenShelf extends Pick<Shelf, 'projects' | 'total'> {
  readonly contents: ShelfContents;
}

/** What a box is drawn from. */
function drawnFrom({ id, document }: Project): Pick<Project, 'id' | 'document'> {
  return { id, document };
}

/** What is seen of boxes before their page can show them itself: planned and drawn in a thread of its own. */
export class FirstSights {
  readonly #pool: Piscina;
  readonly #logger: Logger;
  readonly #quiet: number;
  /** A page is loaded far more often than its box changes. */
  readonly #boxes = new Remembered<Promise<string | undefined>>({ most: 50 });
  readonly #cards = new Remembered<string>({ most: 100 });
  /** The boxes of the shelf that was asked for last whose cards are to be drawn. */
  #toDraw: Project[] = [];
  #untilQuiet: NodeJS.Timeout | undefined;

  constructor({ script, logger, quiet = untilQuiet }: FirstSightParts) {
    this.#logger = logger;
    this.#quiet = quiet;
    this.#pool = new Piscina({ filename: script, minThreads: 1, maxThreads: 1 });
    // Without it pages come as they are: nothing else is to stop for it.
    this.#pool.on('error', (error) => logger.warn(error));
    // The script comes before anybody asks.
    this.#pool.run(undefined, { name: 'ready' }).catch((error: unknown) => logger.warn(error));
  }

  /** The HTML of a box; nothing where there is none for it, or none in good time. */
  async ofBox(box: Project): Promise<string | undefined> {
    this.#waitForQuiet();
    const known = this.#boxes.of(box);
    const sight = known ?? this.#render('renderBoxSight', drawnFrom(box));
    if (!known) this.#boxes.keep(box, sight);
    return inGoodTime(sight);
  }

  /** The HTML of the shelf, each box with its drawing where it is drawn already; nothing where it is none in good time. */
  async ofShelf({ projects, total, contents }: SeenShelf): Promise<string | undefined> {
    const seen = projects.slice(0, mostOnShelf);
    this.#toDraw = seen.filter((box) => this.#cards.of(box) === undefined);
    this.#waitForQuiet();
    const boxes = seen.map((box) => ({ ...drawnFrom(box), html: this.#cards.of(box) }));
    return inGoodTime(this.#render('renderShelfSight', { boxes, total, contents }));
  }

  async close(): Promise<void> {
    clearTimeout(this.#untilQuiet);
    this.#toDraw = [];
    await this.#pool.destroy();
  }

  #waitForQuiet(): void {
    clearTimeout(this.#untilQuiet);
    this.#untilQuiet = setTimeout(() => void this.#drawCards(), this.#quiet).unref();
  }

  /** One after the other, so that a page which is asked for meanwhile comes next. */
  async #drawCards(): Promise<void> {
    const mine = this.#untilQuiet;
    while (mine === this.#untilQuiet) {
      const box = this.#toDraw.shift();
      if (!box) return;
      const card = await this.#render('renderCardSight', drawnFrom(box));
      if (card !== undefined) this.#cards.keep(box, card);
    }
  }

  async #render(name: string, what: object): Promise<string | undefined> {
    try {
      const html: unknown = await this.#pool.run(what, { name });
      return typeof html === 'string' ? html : undefined;
    } catch (error) {
      this.#logger.warn(error);
      return undefined;
    }
  }
}

/** What has come of it while a page waits. */
async function inGoodTime(sight: Promise<string | undefined>): Promise<string | undefined> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<undefined>((resolve) => {
    timer = setTimeout(() => resolve(undefined), patience);
  });
  const seen = await Promise.race([sight, late]);
  clearTimeout(timer);
  return seen;
}
