import { z } from 'zod';
import type { PunchBoard } from '../piece/index.ts';

/** What a maker chooses a style by, beside its look. */
export interface StyleTraits {
  readonly opensFromTop: boolean;
  readonly showsGift: boolean;
}

interface Definition<Id extends string, Options extends z.ZodObject> {
  readonly id: Id;
  /** The name that makers see. */
  readonly name: string;
  /** What it is, in a few words. */
  readonly about: string;
  /** What each paper that may be chosen is for. */
  readonly papers: readonly string[];
  readonly options: Options;
  /** The punch board that its lines can be made on, where there is one. */
  readonly punchBoard?: PunchBoard;
  readonly usual: z.infer<Options>;
  readonly traits: (options: z.infer<Options>) => StyleTraits;
}

/** What a kind of box is; how it is put round a gift is told apart, so that who only shows it needs nothing of that. */
export interface Style<Id extends string, Options extends z.ZodObject> extends Definition<
  Id,
  Options
> {
  readonly choice: z.ZodObject<{ style: z.ZodLiteral<Id>; options: Options }>;
  readonly usualChoice: { readonly style: Id; readonly options: z.infer<Options> };
  /** Takes options that its own schema has parsed or will. */
  readonly traitsOf: (options: unknown) => StyleTraits;
}

/** Makes a style of its definition. */
export function defineStyle<const Id extends string, Options extends z.ZodObject>(
  definition: Definition<Id, Options>,
): Style<Id, Options> {
  const { id, options: schema, usual } = definition;
  return {
    ...definition,
    choice: z.object({ style: z.literal(id), options: schema }),
    usualChoice: { style: id, options: usual },
    traitsOf: (options) => definition.traits(schema.parse(options)),
  };
}
