/** Sentences of a step that belong together. */
export interface Passage {
  readonly text: string;
  /** Which of the step's operations they tell; none for what is said of all of them. */
  readonly at?: number;
}

/** A step in words, made from its data alone. */
export interface Said {
  /** What is read from two metres: the figure to set, or what to do. */
  readonly figure: string;
  /** The whole instruction. */
  readonly text: string;
  /** The same in passages, where what is done is shown one after the other. */
  readonly passages?: readonly Passage[];
  /** Its line in the list of steps. */
  readonly line: string;
}

/** What a piece or a paper is called, by its id. */
export type NameOf = (id: string) => string;

/** Names by id, as a job has them. */
export function namesFrom(names: ReadonlyMap<string, string>): NameOf {
  return (id) => names.get(id) ?? id;
}
