/** Something that is stored and can't be read: it was damaged, or stored by a later version. */
export class Unreadable extends Error {
  /** `what` is what the maker calls it: `box`. */
  constructor(what: string) {
    super(
      `This ${what} can’t be read here: it was stored by a newer Rangoli, or its data is damaged. It is kept as it is.`,
    );
  }
}

/** The value that a stored text says; undefined where it is no JSON. */
export function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
