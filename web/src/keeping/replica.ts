import type { Clash, Merged } from '@rangoli/core';

/** A value as the server holds it. Revision 0: it holds none yet. */
export interface Held<Value> {
  readonly revision: number;
  readonly value: Value;
}

/** A change that the server has not confirmed, with what it was made to. */
export interface Waiting<Value> {
  readonly base: Held<Value>;
  readonly mine: Value;
  /** What was sent since, the latest last: any of it may have arrived without our hearing of it. */
  readonly sent: readonly Value[];
}

/** How a value stands between this browser and the server. */
export type Standing<Value> =
  | { readonly kind: 'saved' }
  | { readonly kind: 'changed' }
  | { readonly kind: 'saving' }
  /** The server is away, or fails; it is tried again. */
  | { readonly kind: 'unreachable'; readonly message: string }
  | { readonly kind: 'refused'; readonly message: string }
  /** Somebody else has deleted it. */
  | { readonly kind: 'gone' }
  /** One field was changed in two places: the maker chooses. */
  | {
      readonly kind: 'conflict';
      readonly theirs: Held<Value>;
      readonly clashes: readonly Clash[];
    };

/** What came of sending a change. */
export type Sent<Value> =
  | { readonly outcome: 'stored'; readonly held: Held<Value> }
  /** Somebody else was first: what the server holds. */
  | { readonly outcome: 'stale'; readonly held: Held<Value> }
  | { readonly outcome: 'gone' }
  | { readonly outcome: 'refused'; readonly message: string }
  /** Nobody answered, or something broke there: worth another try. */
  | { readonly outcome: 'away'; readonly message: string };

/** A value as two changes began with it, and as each has made it. */
export interface Versions<Value> {
  readonly base: Value;
  readonly mine: Value;
  readonly theirs: Value;
}

export interface ReplicaParts<Value> {
  /** Brings two changes of one value together; where they clash, it holds mine. */
  readonly merge: (versions: Versions<Value>) => Merged<Value>;
  /** Sends a value that was made to a revision. `keepalive` lets it outlive the page. */
  readonly send: (
    revision: number,
    value: Value,
    options: { readonly keepalive: boolean },
  ) => Promise<Sent<Value>>;
  /** Keeps what waits in this browser; nothing waits any more when it is undefined. */
  readonly keep: (waiting: Waiting<Value> | undefined) => void;
  readonly onStanding: (standing: Standing<Value>) => void;
  /** The value has become another one by what happened elsewhere. */
  readonly onValue: (value: Value) => void;
  /** What the server holds now. */
  readonly onHeld: (held: Held<Value>) => void;
}

/** Milliseconds of quiet before a change is sent, and between tries while the server is away: longer each time. */
const quiet = 500;
const firstRetry = 1000;
const longestRetry = 15_000;

/** So many changes that were sent without an answer are remembered. */
const mostSent = 20;

function isSame(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/**
 * One stored value in this browser: bound for its life to what it was read from. Changes are sent one after
 * the other, the latest only; what others have changed meanwhile is merged field by field, and where both
 * have changed one field the maker chooses. Nothing is dropped but by them.
 */
export class Replica<Value> {
  readonly #parts: ReplicaParts<Value>;
  readonly #read: Held<Value>;
  #base: Held<Value>;
  #mine: Value | undefined;
  #sent: readonly Value[];
  #standing: Standing<Value> = { kind: 'saved' };
  #timer: ReturnType<typeof setTimeout> | undefined;
  #sending = false;
  #retry = firstRetry;

  constructor(base: Held<Value>, parts: ReplicaParts<Value>, waiting?: Waiting<Value>) {
    this.#parts = parts;
    this.#base = waiting?.base ?? base;
    this.#mine = waiting?.mine;
    this.#sent = waiting?.sent ?? [];
    if (waiting) this.#standing = { kind: 'changed' };
    this.#read = base;
  }

  /** Begins to send what waits, after it has met what was read from the server. */
  begin(): void {
    if (this.#mine === undefined) return;
    this.#keep();
    this.hear(this.#read);
    if (this.isWaiting && this.#standing.kind === 'changed') this.#schedule(quiet);
  }

  /** As the maker sees it here. */
  get value(): Value {
    return this.#mine ?? this.#base.value;
  }

  /** As the server held it when the changes here were made. */
  get heldValue(): Value {
    return this.#base.value;
  }

  /** At which revision the server was when it was heard of last. */
  get revision(): number {
    return this.#base.revision;
  }

  get standing(): Standing<Value> {
    return this.#standing;
  }

  /** Whether there is something that the server has not confirmed. */
  get isWaiting(): boolean {
    return this.#mine !== undefined;
  }

  /** Goes on with a change that another window has left; false while something of this one waits. */
  takeUp({ base, mine, sent }: Waiting<Value>): boolean {
    if (this.#mine !== undefined) return false;
    const held = this.#base;
    const before = this.value;
    this.#base = base;
    this.#mine = mine;
    this.#sent = sent;
    this.#keep();
    this.#stand({ kind: 'changed' });
    if (!isSame(before, mine)) this.#parts.onValue(mine);
    this.hear(held);
    if (this.isWaiting && this.#standing.kind === 'changed') this.#schedule(quiet);
    return true;
  }

  /** Takes a change that was made here. */
  change(value: Value): void {
    this.#mine = value;
    this.#keep();
    if (this.#standing.kind === 'conflict') {
      // With this change the two may be at one again.
      this.#meet(this.#standing.theirs);
      return;
    }
    if (!this.#sending && this.#standing.kind !== 'unreachable') this.#stand({ kind: 'changed' });
    this.#schedule(quiet);
  }

  /** Takes notice of what the server holds, however it was heard. */
  hear(held: Held<Value>): void {
    if (held.revision <= this.#base.revision) return;
    if (this.#mine === undefined) {
      this.#settle(held);
      this.#parts.onValue(held.value);
      return;
    }
    if ([...this.#sent, this.#mine].some((each) => isSame(held.value, each))) {
      // Our own change had arrived; only the answer was lost.
      this.#arrive(held);
      return;
    }
    this.#meet(held);
  }

  /** Ends a conflict: the fields in question as they are here, or as they are there. */
  resolve(prefer: 'mine' | 'theirs'): void {
    if (this.#standing.kind !== 'conflict' || this.#mine === undefined) return;
    const { theirs } = this.#standing;
    const [mine, other] =
      prefer === 'mine' ? [this.#mine, theirs.value] : [theirs.value, this.#mine];
    const { value } = this.#parts.merge({
      base: this.#base.value,
      mine,
      theirs: other,
    });
    this.#goOn(theirs, value);
  }

  /** Lets go of what was changed here and takes what the server holds. */
  takeTheirs(): void {
    if (this.#standing.kind !== 'conflict') return;
    const { theirs } = this.#standing;
    this.#goOn(theirs, theirs.value);
  }

  /** Sends now what is waiting, as on leaving the page or when the server is back. */
  async flush(
    { keepalive }: { readonly keepalive: boolean } = { keepalive: false },
  ): Promise<void> {
    clearTimeout(this.#timer);
    const value = this.#mine;
    if (value === undefined || (this.#sending && !keepalive)) return;
    if (this.#standing.kind === 'conflict' || this.#standing.kind === 'gone') return;
    this.#sending = true;
    if (!this.#sent.some((each) => isSame(each, value)))
      this.#sent = [...this.#sent, value].slice(-mostSent);
    this.#keep();
    if (this.#standing.kind !== 'unreachable') this.#stand({ kind: 'saving' });
    const answer = await this.#parts.send(this.#base.revision, value, { keepalive });
    this.#sending = false;
    this.#take(answer);
  }

  /** Tries again what was refused, or what was deleted elsewhere and has been put back. */
  tryAgain(): void {
    if (this.#mine === undefined) return;
    this.#stand({ kind: 'changed' });
    void this.flush();
  }

  #take(answer: Sent<Value>): void {
    switch (answer.outcome) {
      case 'stored':
        this.#arrive(answer.held);
        return;
      case 'stale':
        if (answer.held.revision > this.#base.revision) this.hear(answer.held);
        // What we heard of otherwise has made it stale, and we know by now. Else the server has another past,
        // as after a copy of its data was put back: what it holds is what counts.
        else if (isSame(answer.held.value, this.#base.value)) this.#goOn(answer.held, this.value);
        else this.#meet(answer.held);
        return;
      case 'gone':
        this.#stand({ kind: 'gone' });
        return;
      case 'refused':
        this.#stand({ kind: 'refused', message: answer.message });
        return;
      case 'away':
        this.#stand({ kind: 'unreachable', message: answer.message });
        this.#await();
    }
  }

  /** A change of ours is on the server; what was changed since goes next. */
  #arrive(held: Held<Value>): void {
    if (held.revision <= this.#base.revision) return;
    this.#retry = firstRetry;
    const mine = isSame(this.#mine, held.value) ? undefined : this.#mine;
    this.#goOn(held, mine ?? held.value);
  }

  /** Brings both changes together, or asks. */
  #meet(theirs: Held<Value>): void {
    const mine = this.#mine;
    if (mine === undefined) return;
    const { value, clashes } = this.#parts.merge({
      base: this.#base.value,
      mine,
      theirs: theirs.value,
    });
    if (clashes.length > 0) {
      clearTimeout(this.#timer);
      this.#stand({ kind: 'conflict', theirs, clashes });
      return;
    }
    this.#goOn(theirs, value);
  }

  /** Goes on from what the server holds, with this value here. */
  #goOn(held: Held<Value>, value: Value): void {
    const before = this.value;
    this.#base = held;
    this.#sent = [];
    this.#mine = isSame(value, held.value) ? undefined : value;
    this.#parts.onHeld(held);
    this.#keep();
    if (!isSame(before, value)) this.#parts.onValue(value);
    this.#stand(this.isWaiting ? { kind: 'changed' } : { kind: 'saved' });
    if (this.isWaiting) this.#schedule(quiet);
    else clearTimeout(this.#timer);
  }

  #settle(held: Held<Value>): void {
    this.#base = held;
    this.#parts.onHeld(held);
    this.#stand({ kind: 'saved' });
  }

  #keep(): void {
    this.#parts.keep(
      this.#mine === undefined
        ? undefined
        : { base: this.#base, mine: this.#mine, sent: this.#sent },
    );
  }

  #stand(standing: Standing<Value>): void {
    this.#standing = standing;
    this.#parts.onStanding(standing);
  }

  #await(): void {
    this.#schedule(this.#retry);
    this.#retry = Math.min(longestRetry, this.#retry * 2);
  }

  #schedule(delay: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.flush(), delay);
  }
}
