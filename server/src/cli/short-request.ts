import {
  allStyles,
  commonSheets,
  directedRoom,
  evenRoom,
  explainLengthFault,
  finishSchema,
  genericBoards,
  genericTrimmers,
  nanometres,
  parseLength,
  parseSheet,
  parseThickness,
  planRequestSchema,
  problemsFrom,
  roomStops,
  stockPapers,
  unitSchema,
  usualRequest,
  withFinishedSize,
  type PlanRequest,
  type Problem,
  type StyleSummary,
  type Unit,
} from '@rangoli/core';
import { z } from 'zod';
import { meant } from './known-names.ts';

/*
 * A request as a person writes it: what has a usual value may be left out, a length may be written as a maker
 * writes it, and what Rangoli ships goes by its name.
 */

const documentSchema = z.record(z.string(), z.unknown());
type Document = z.infer<typeof documentSchema>;

export type Completed =
  | { readonly ok: true; readonly request: PlanRequest }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** A field that can't be read, with what is wrong and the way out. */
class Unreadable extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.message);
    this.problem = problem;
  }
}

/** A name that is not known where one of these is wanted. */
class UnknownName extends Unreadable {
  constructor(field: string, written: string, names: readonly string[]) {
    super({ field, message: `There is no “${written}” for ${field}. ${meant(written, names)}` });
  }
}

function isDocument(value: unknown): value is Document {
  return documentSchema.safeParse(value).success && !Array.isArray(value);
}

/** One of what is shipped, by its id or its name. */
function shipped<Item extends { readonly name: string }>(
  field: string,
  written: string,
  items: readonly Item[],
  idOf: (item: Item) => string = ({ name }) => name,
): Item {
  const found = items.find((item) => idOf(item) === written || item.name === written);
  if (found) return found;
  throw new UnknownName(field, written, items.map(idOf));
}

/** What is written over what is usual; a name alone stands for what is shipped under it. */
function over<Item extends { readonly id: string; readonly name: string }>(
  field: string,
  written: unknown,
  usual: Item,
  items: readonly Item[],
): unknown {
  if (typeof written === 'string') return shipped(field, written, items, ({ id }) => id);
  if (!isDocument(written)) return written ?? usual;
  const known = items.find(({ id }) => id === written.id) ?? usual;
  return { ...known, ...written };
}

/** The options of a style, each depth that is written as a length as the length that it is. */
function optionsIn(written: Document, style: StyleSummary, unit: Unit): Document {
  const entries = Object.entries(written).map(([key, value]): [string, unknown] => {
    const option = style.options.find((each) => each.key === key);
    if (option?.kind !== 'depth' || typeof value !== 'string') return [key, value];
    return [
      key,
      option.values.some((word) => word.value === value) ? value : lengthOf(value, unit),
    ];
  });
  return Object.fromEntries(entries);
}

function styleOf(written: unknown, unit: Unit): unknown {
  const ids = allStyles.map(({ id }) => id);
  const name = isDocument(written) ? written.style : written;
  if (typeof name !== 'string') return written;
  const style = allStyles.find(({ id }) => id === name);
  if (!style) throw new UnknownName('style', name, ids);
  if (!isDocument(written)) return style.usual;
  const { options } = written;
  return {
    ...written,
    options: isDocument(options)
      ? { ...style.usual.options, ...optionsIn(options, style, unit) }
      : style.usual.options,
  };
}

function lengthOf(written: unknown, unit: Unit): unknown {
  if (typeof written !== 'string') return written;
  const parsed = parseLength(written, unit);
  return parsed.ok ? parsed.length : written;
}

/** Room in one direction: what is wanted, of which half must be left where the least isn’t written. */
function roomOneWay(written: unknown, unit: Unit): unknown {
  const target = lengthOf(isDocument(written) ? written.target : written, unit);
  const usual = typeof target === 'number' ? directedRoom(nanometres(target)) : {};
  return isDocument(written) ? { ...usual, ...written } : (written ?? usual);
}

function roomOf(written: unknown, usual: PlanRequest['room'], unit: Unit): unknown {
  if (isDocument(written)) {
    const ways = Object.entries(written).map(([way, room]): [string, unknown] => [
      way,
      asRoom(room, unit),
    ]);
    return { ...usual, ...Object.fromEntries<unknown>(ways) };
  }
  const stop = roomStops.find(({ name }) => name === written);
  if (stop) return evenRoom(stop.target);
  const even = lengthOf(written, unit);
  if (typeof even === 'number') return evenRoom(nanometres(even));
  if (typeof written === 'string')
    throw new UnknownName('room', written, [...roomStops.map(({ name }) => name)]);
  return written ?? usual;
}

function asRoom(written: unknown, unit: Unit): unknown {
  const even = lengthOf(written, unit);
  return typeof even === 'number' ? directedRoom(nanometres(even)) : roomOneWay(written, unit);
}

/** A sheet by the name that it is sold under, or by its sides. */
function sheetIn(field: string, written: string, unit: Unit): unknown {
  const sheet = parseSheet(written, unit);
  if (sheet) return sheet;
  const names = commonSheets.map(({ name }) => name);
  const way = `Write a size, like 180 × 180 mm. ${meant(written, names)}`;
  throw new Unreadable({ field, message: `“${written}” is no sheet. ${way}` });
}

function thicknessIn(field: string, written: string, finish: unknown, unit: Unit): unknown {
  const of = finishSchema.safeParse(finish);
  const thickness = parseThickness(written, { unit, finish: of.success ? of.data : 'matt' });
  if (thickness.ok) return thickness.thickness;
  throw new Unreadable({ field, message: thickness.message });
}

function paperOf(
  field: string,
  written: unknown,
  usual: PlanRequest['papers'][number],
  unit: Unit,
): unknown {
  const paper = over(field, written, usual, stockPapers);
  if (!isDocument(paper)) return paper;
  const { sheet, thickness, finish } = paper;
  return {
    ...paper,
    ...(typeof sheet === 'string' && { sheet: sheetIn(`${field}.sheet`, sheet, unit) }),
    ...(typeof thickness === 'string' && {
      thickness: thicknessIn(`${field}.thickness`, thickness, finish, unit),
    }),
  };
}

function papersOf(written: unknown, usual: PlanRequest['papers'], unit: Unit): unknown {
  if (written === undefined) return usual;
  const list: readonly unknown[] = Array.isArray(written) ? written : [written];
  return list.map((each, i) => paperOf(`papers.${i}`, each, usual[i] ?? usual[0], unit));
}

function kitOf(written: unknown, usual: PlanRequest['kit']): unknown {
  if (!isDocument(written)) return written ?? usual;
  return {
    ...usual,
    ...written,
    trimmer: over('kit.trimmer', written.trimmer, usual.trimmer, genericTrimmers),
    board: over('kit.board', written.board, usual.board, genericBoards),
  };
}

function giftOf(written: unknown): unknown {
  if (!isDocument(written)) return written;
  const lies = written.shape === 'cylinder' ? { lies: 'standing' } : {};
  return { shape: 'block', ...lies, ...written };
}

const anyGift = { shape: 'ball', diameter: nanometres(20_000_000) } as const;

/** The document with what is usual wherever nothing is written. */
function withUsual(written: Document, unit: Unit): Document {
  const usual = usualRequest(anyGift, unit);
  return {
    ...usual,
    ...written,
    unit,
    gift: giftOf(written.gift),
    room: roomOf(written.room, usual.room, unit),
    style: written.style === undefined ? usual.style : styleOf(written.style, unit),
    papers: papersOf(written.papers, usual.papers, unit),
    kit: kitOf(written.kit, usual.kit),
  };
}

/** A document with another value at a path of it. */
function put(value: unknown, path: readonly PropertyKey[], other: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return other;
  if (Array.isArray(value))
    return value.map((each: unknown, i) => (i === key ? put(each, rest, other) : each));
  if (!isDocument(value)) return value;
  return { ...value, [String(key)]: put(value[String(key)], rest, other) };
}

/** What stands at a path of a document. */
function at(value: unknown, path: readonly PropertyKey[]): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(value)) {
    const list: readonly unknown[] = value;
    return at(list[Number(key)], rest);
  }
  return isDocument(value) ? at(value[String(key)], rest) : undefined;
}

/** The document with every length that is written out as the length that it is, and what is no length. */
function withLengths(
  document: unknown,
  unit: Unit,
): { readonly document: unknown; readonly problems: readonly Problem[] } {
  const parsed = planRequestSchema.safeParse(document);
  let whole = document;
  const problems: Problem[] = [];
  for (const issue of parsed.error?.issues ?? []) {
    const written = at(document, issue.path);
    if (issue.code !== 'invalid_type' || typeof written !== 'string') continue;
    if (issue.expected !== 'number' && issue.expected !== 'int') continue;
    const length = parseLength(written, unit);
    if (length.ok) whole = put(whole, issue.path, length.length);
    else
      problems.push({
        field: issue.path.map(String).join('.'),
        message: explainLengthFault(length.fault, unit),
      });
  }
  return { document: whole, problems };
}

/** Keys of a document that its parsed form doesn’t have: nobody would read them. */
function unread(written: unknown, parsed: unknown, path: readonly string[]): readonly Problem[] {
  if (Array.isArray(written)) {
    const list: readonly unknown[] = written;
    return list.flatMap((each, i) => unread(each, at(parsed, [i]), [...path, String(i)]));
  }
  if (!isDocument(written) || !isDocument(parsed)) return [];
  return Object.entries(written).flatMap(([key, value]): readonly Problem[] => {
    const field = [...path, key].join('.');
    if (key in parsed || value === undefined) return unread(value, parsed[key], [...path, key]);
    const names = Object.keys(parsed);
    return [{ field, message: `Nothing is called “${key}” here. ${meant(key, names)}` }];
  });
}

/**
 * A request that is written as short as its writer likes, as a whole one: what is left out is as usual, a length
 * may be written out in the request’s unit, and what is shipped goes by its name. Every key must be known.
 */
export function completeRequest(written: unknown): Completed {
  if (!isDocument(written))
    return { ok: false, problems: [{ field: 'gift', message: 'Say at least what the gift is.' }] };
  const unit = unitSchema.safeParse(written.unit ?? 'mm');
  if (!unit.success)
    return { ok: false, problems: [{ field: 'unit', message: 'The unit is “mm” or “inch”.' }] };
  try {
    const usual = withUsual(written, unit.data);
    const { document, problems } = withLengths(usual, unit.data);
    if (problems.length > 0) return { ok: false, problems };
    const parsed = planRequestSchema.safeParse(document);
    if (!parsed.success) return { ok: false, problems: problemsFrom(parsed.error, unit.data) };
    const unknown = unread(document, parsed.data, []);
    return unknown.length > 0
      ? { ok: false, problems: unknown }
      : { ok: true, request: withFinishedSize(parsed.data) };
  } catch (error) {
    if (error instanceof Unreadable) return { ok: false, problems: [error.problem] };
    throw error;
  }
}
