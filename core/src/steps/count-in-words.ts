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
