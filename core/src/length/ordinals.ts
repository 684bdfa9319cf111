const ordinals = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
];

/** A place in a row as it is said: `third`. */
export function ordinalInWords(place: number): string {
  return ordinals[place - 1] ?? `${place}th`;
}
