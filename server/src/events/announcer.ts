import { EventEmitter } from 'node:events';

/** Something that is kept has changed: a box, what was told of its making, a tool, or a lesson. */
export interface Change {
  readonly what: 'boxes' | 'progress' | 'tools' | 'papers' | 'lessons';
  readonly id: string;
  /** At which revision it is now, where it has one. */
  readonly revision?: number;
}

/** Tells everybody who listens what has changed, in the order in which it did. */
export class Announcer {
  readonly #emitter = new EventEmitter().setMaxListeners(0);

  announce(change: Change): void {
    this.#emitter.emit('change', change);
  }

  /** Cuts the line of everybody who listens now. */
  close(): void {
    this.#emitter.emit('close');
  }

  /** Listens until the function that is given back is called; `onClose` hears that the line is cut. */
  listen(listener: (change: Change) => void, onClose: () => void): () => void {
    this.#emitter.on('change', listener).once('close', onClose);
    return () => {
      this.#emitter.off('change', listener).off('close', onClose);
    };
  }
}
