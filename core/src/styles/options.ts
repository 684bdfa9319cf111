import { z } from 'zod';
import { lengthBetween, millimetres, nanometres, type Length } from '../length/index.ts';

/** An option of a style as a maker sees it. */
export type StyleOption =
  | {
      readonly kind: 'choice';
      readonly key: string;
      readonly label: string;
      readonly values: readonly { readonly value: string; readonly label: string }[];
    }
  | { readonly kind: 'switch'; readonly key: string; readonly label: string }
  | {
      readonly kind: 'count';
      readonly key: string;
      readonly label: string;
      readonly least: number;
      readonly most: number;
    }
  | {
      readonly kind: 'depth';
      readonly key: string;
      readonly label: string;
      readonly values: readonly { readonly value: string; readonly label: string }[];
      /** From where to where a figure goes. */
      readonly measures: string;
      /** What a figure may be at all; what it may be on a box is in its plan. */
      readonly least: Length;
      readonly most: Length;
    };

/** One of a few words. */
export function oneOf<const Values extends readonly [string, ...string[]]>(
  title: string,
  values: Values,
) {
  return z.enum(values).meta({ title });
}

/** Something that is there or not. */
export function whether(title: string) {
  return z.boolean().meta({ title });
}

/** A whole number between two limits, both among them. */
export function howMany(title: string, least: number, most: number) {
  return z.int().min(least).max(most).meta({ title });
}

/** How deep, wide or high a part is: in one of a few words, or as a figure that `measures` from where to where. */
export function howDeep<const Values extends readonly [string, ...string[]]>(
  { title, measures }: { readonly title: string; readonly measures: string },
  values: Values,
) {
  const figure = lengthBetween(millimetres(1), millimetres(1000));
  return z.union([z.enum(values), figure]).meta({ title, description: measures });
}

/** The seam of a tube: wide enough for the maker's tape, or as wide as is asked. */
export const usualSeam = 'for my tape';
export const seamOption = howDeep({ title: 'Seam', measures: 'from its fold to its edge' }, [
  usualSeam,
]).default(usualSeam);

/** Whether a plain piece hides the flaps of the bottom. */
export const coverOption = whether('Bottom cover').default(false);

/** A flap that tucks in: long enough to hold, or as long as is asked. */
export const usualTuck = 'usual';
export const tuckOption = howDeep(
  { title: 'Flap that tucks in', measures: 'from its fold to its edge' },
  [usualTuck],
).default(usualTuck);

function capitalised(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

function wordsOf({ options }: z.ZodEnum) {
  return options.map((word) => ({ value: String(word), label: capitalised(String(word)) }));
}

/** An option that came later has a usual value, for the boxes that know nothing of it. */
function unwrapped(option: unknown): unknown {
  return option instanceof z.ZodDefault ? option.unwrap() : option;
}

/**
 * The options that a schema holds, in its order.
 * @throws TypeError on a kind of option that no control is made for.
 */
export function optionsOf(schema: z.ZodObject): readonly StyleOption[] {
  return Object.entries(schema.shape).map(([key, given]): StyleOption => {
    const option = unwrapped(given);
    const said = option instanceof z.ZodType ? z.globalRegistry.get(option) : undefined;
    const label = said?.title ?? capitalised(key);
    if (option instanceof z.ZodEnum) return { kind: 'choice', key, label, values: wordsOf(option) };
    if (option instanceof z.ZodUnion) {
      const parts: readonly unknown[] = option.options;
      const [words, figure] = parts;
      const limits = figure instanceof z.ZodPipe ? figure.in : undefined;
      if (words instanceof z.ZodEnum && limits instanceof z.ZodNumber)
        return {
          kind: 'depth',
          key,
          label,
          values: wordsOf(words),
          measures: said?.description ?? '',
          least: nanometres(limits.minValue ?? 0),
          most: nanometres(limits.maxValue ?? 0),
        };
    }
    if (option instanceof z.ZodBoolean) return { kind: 'switch', key, label };
    if (option instanceof z.ZodNumber)
      return {
        kind: 'count',
        key,
        label,
        least: option.minValue ?? 0,
        most: option.maxValue ?? 99,
      };
    throw new TypeError(`No control is made for ${key}`);
  });
}
