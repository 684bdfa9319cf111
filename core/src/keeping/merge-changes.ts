import { z } from 'zod';

/** A value as JSON has it. */
type Json = z.core.util.JSONType;

/** A field that was changed in two places to different values. */
export interface Clash {
  /** Keys and places from the whole down to the field; empty for the whole. */
  readonly path: readonly (string | number)[];
  /** Undefined where the field was taken away. */
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** Two changes of one value brought together; where they clash, it holds mine. */
export interface Merged<Value> {
  readonly value: Value;
  readonly clashes: readonly Clash[];
}

interface Versions {
  readonly base: Json | undefined;
  readonly mine: Json | undefined;
  readonly theirs: Json | undefined;
}

/** Fields that say of what kind an object is: of two kinds nothing can be brought together field by field. */
const kindFields = ['version', 'shape', 'style', 'kind', 'id', 'piece', 'way', 'packing'] as const;

type JsonObject = Readonly<Record<string, Json>>;

function isObject(value: Json | undefined): value is JsonObject {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Whether two values are alike whatever the order of their keys. */
function isSame(a: Json | undefined, b: Json | undefined): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, i) => isSame(each, b[i]));
  if (!isObject(a) || !isObject(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) => isSame(a[key], b[key]));
}

function isOneKind(...objects: readonly JsonObject[]): boolean {
  const [first] = objects;
  return kindFields.every((field) => objects.every((each) => isSame(each[field], first?.[field])));
}

interface MergedJson {
  readonly value: Json | undefined;
  readonly clashes: readonly Clash[];
}

function mergeObjects(
  { base, mine, theirs }: Readonly<Record<keyof Versions, JsonObject>>,
  path: Clash['path'],
): MergedJson {
  const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
  const clashes: Clash[] = [];
  const value: Record<string, Json> = {};
  for (const key of keys) {
    const each = mergeJson({ base: base[key], mine: mine[key], theirs: theirs[key] }, [
      ...path,
      key,
    ]);
    if (each.value !== undefined) value[key] = each.value;
    clashes.push(...each.clashes);
  }
  return { value, clashes };
}

function mergeArrays(
  { base, mine, theirs }: Readonly<Record<keyof Versions, readonly Json[]>>,
  path: Clash['path'],
): MergedJson {
  const each = mine.map((own, i) =>
    mergeJson({ base: base[i], mine: own, theirs: theirs[i] }, [...path, i]),
  );
  return {
    value: each.flatMap(({ value }) => (value === undefined ? [] : [value])),
    clashes: each.flatMap(({ clashes }) => clashes),
  };
}

/** Lists of things that stand by themselves, whatever their order: each is known by its id. */
const listsById: ReadonlySet<string | number | undefined> = new Set(['ownSteps']);

type WithId = JsonObject & { readonly id: string };

function haveIds(list: readonly Json[]): list is readonly WithId[] {
  return list.every((each) => isObject(each) && typeof each.id === 'string');
}

/** Things by their ids: what one side put in or took out is in or out. */
function mergeById(
  { base, mine, theirs }: Readonly<Record<keyof Versions, readonly WithId[]>>,
  path: Clash['path'],
): MergedJson {
  const find = (list: readonly WithId[], wanted: string) => list.find(({ id }) => id === wanted);
  const ids = new Set([...mine, ...theirs].map(({ id }) => id));
  const each = [...ids].map((id) =>
    mergeJson({ base: find(base, id), mine: find(mine, id), theirs: find(theirs, id) }, [
      ...path,
      id,
    ]),
  );
  return {
    value: each.flatMap(({ value }) => (value === undefined ? [] : [value])),
    clashes: each.flatMap(({ clashes }) => clashes),
  };
}

function mergeJson({ base, mine, theirs }: Versions, path: Clash['path']): MergedJson {
  if (isSame(mine, theirs) || isSame(base, theirs)) return { value: mine, clashes: [] };
  if (isSame(base, mine)) return { value: theirs, clashes: [] };
  if (isObject(base) && isObject(mine) && isObject(theirs) && isOneKind(base, mine, theirs))
    return mergeObjects({ base, mine, theirs }, path);
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    if (listsById.has(path.at(-1)) && haveIds(base) && haveIds(mine) && haveIds(theirs))
      return mergeById({ base, mine, theirs }, path);
    // Of lists of one length each place is a field; where something came or went, the list is one.
    const isAligned = base.length === mine.length && base.length === theirs.length;
    if (isAligned) return mergeArrays({ base, mine, theirs }, path);
  }
  return { value: mine, clashes: [{ path, mine, theirs }] };
}

/**
 * Brings together two changes that were made to one value in two places (a merge of three versions): what
 * only one of them has changed is taken from it, and what both have changed to different values clashes.
 * Where the parts would go together to something that the schema refuses, the whole clashes.
 */
export function mergeChanges<Value>(
  schema: z.ZodType<Value>,
  versions: { readonly base: Value; readonly mine: Value; readonly theirs: Value },
): Merged<Value> {
  const [base, mine, theirs] = [versions.base, versions.mine, versions.theirs].map(asJson);
  const { value, clashes } = mergeJson({ base, mine, theirs }, []);
  const merged = schema.safeParse(value);
  if (merged.success) return { value: merged.data, clashes };
  return { value: versions.mine, clashes: [{ path: [], mine, theirs }] };
}

/** A value as it would be stored: what is undefined is not there. */
function asJson(value: unknown): Json {
  return z.json().parse(JSON.parse(JSON.stringify(value)));
}
