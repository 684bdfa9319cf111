import { z } from 'zod';

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

function capitalised(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/**
 * The options that a schema holds, in its order.
 * @throws TypeError on a kind of option that no control is made for.
 */
export function optionsOf(schema: z.ZodObject): readonly StyleOption[] {
  return Object.entries(schema.shape).map(([key, option]): StyleOption => {
    const label = z.globalRegistry.get(option)?.title ?? capitalised(key);
    if (option instanceof z.ZodEnum)
      return {
        kind: 'choice',
        key,
        label,
        values: option.options.map((value) => ({
          value: String(value),
          label: capitalised(String(value)),
        })),
      };
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
