const numbers = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A number as it is said: `six`; a figure above twelve. */
export function countInWords(amount: number): string {
  return numbers[amount] ?? `${amount}`;
}

/** A thing in the number that there is of it: `one lid`, `six boxes`. */
export function counted(amount: number, name: string): string {
  return `${countInWords(amount)} ${amount === 1 ? name : plural(name)}`;
}

/** More than one of a thing: `lids`, `boxes`, `last notches`, `slits for the ears`. */
export function plural(name: string): string {
  const [, head = name, what = ''] = /^(.+?)( (?:for|to|of) .+)$/.exec(name) ?? [];
  return `${head}${/(?:x|ch|sh|ss)$/i.test(head) ? 'es' : 's'}${what}`;
}

/** Things in a row as they are said: `a, b and c`. */
export function inRow(things: readonly string[]): string {
  const last = things[things.length - 1] ?? '';
  return things.length < 2 ? last : `${things.slice(0, -1).join(', ')} and ${last}`;
}

/** With a capital at its head. */
export function capitalised(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}
