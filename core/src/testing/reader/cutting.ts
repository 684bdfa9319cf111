import { bare, type Card, type Side } from './card.ts';
import { countOf, figure, lengthOf } from './english.ts';

/** Card on the table that is no piece yet. */
interface Part {
  readonly paper: string;
  readonly width: number;
  readonly height: number;
  /** Whether it is a whole sheet. */
  readonly isSheet: boolean;
}

/** A sheet as it is bought, by its paper's name. */
export interface BoughtSheet {
  readonly paper: string;
  readonly width: number;
  readonly height: number;
  /** Where the top of the print is on the sheet as it is bought, where it runs one way. */
  readonly printTop?: Side;
}

/** Pieces that are cut, by their names. */
export type CutPieces = Map<string, Card[]>;

function singular(name: string): string {
  return name.replace(/(x|ch|sh|ss)es$/, '$1').replace(/s$/, '');
}

const isLength = (a: number, b: number) => Math.abs(a - b) < 0.02;

/** Half of the distance between the finest marks that a ruler is read by, 1/32 in. */
const betweenMarks = 0.4;

/** Whether card is as long as it is told to be, exactly or about: in millimetres. */
type IsSoLong = (length: number) => boolean;

function lengthTold(said: string): IsSoLong {
  const isAbout = said.startsWith('about ');
  const told = lengthOf(said.replace(/^about /, ''));
  return (length) => (isAbout ? Math.abs(length - told) <= betweenMarks : isLength(length, told));
}

/** `4 × 4 in`, `183 mm × about 305 mm`. */
function sizeTold(said: string): { readonly width: IsSoLong; readonly height: IsSoLong } {
  const [a = '', b = ''] = said.split(' × ');
  const unit = b.endsWith('mm') ? 'mm' : 'in';
  return {
    width: lengthTold(/(?:in|mm)$/.test(a) ? a : `${a} ${unit}`),
    height: lengthTold(b),
  };
}

/** A trimmer and what lies on it; it knows its own marks. */
export function cuttingTable(sheets: readonly BoughtSheet[], names: readonly string[]) {
  const parts: Part[] = [];
  const pieces: CutPieces = new Map();
  let lastStrip: Part | undefined;

  function take(count: number, isWanted: (part: Part) => boolean, said: string): readonly Part[] {
    const found = parts.filter(isWanted).slice(0, count);
    if (found.length < count) throw new Error(`Not enough on the table: “${said}”`);
    for (const part of found) parts.splice(parts.indexOf(part), 1);
    return found;
  }

  function from(said: string): readonly Part[] {
    if (said === 'that strip') {
      const strip = lastStrip;
      if (!strip) throw new Error('Which strip?');
      return take(1, (part) => part === strip, said);
    }
    const sheet = /^(\w+) sheets? of (.+)$/.exec(said);
    if (sheet && !said.startsWith('what is left')) {
      const [, count = '', paper = ''] = sheet;
      const size = sheets.find((each) => each.paper === paper);
      if (!size) throw new Error(`No ${paper} was bought`);
      return Array.from({ length: countOf(count) }, () => ({ ...size, isSheet: true }));
    }
    const [, count = '', paper = '', size = ''] =
      /^(?:what is left of )?(\w+) (?:strips?|sheets?) of (.+), (\S.* × .+)$/.exec(said) ?? [];
    const { width, height } = sizeTold(size);
    return take(
      countOf(count),
      (part) =>
        part.paper === paper &&
        ((width(part.width) && height(part.height)) || (width(part.height) && height(part.width))),
      said,
    );
  }

  function nameOf(said: string, count: number): string {
    const one = count === 1 ? said : singular(said);
    const name = names.find((each) => each.toLowerCase() === one);
    if (name === undefined) throw new Error(`What is a ${one}?`);
    return name;
  }

  function put(name: string, card: Card): void {
    pieces.set(name, [...(pieces.get(name) ?? []), card]);
  }

  /** One sentence about what is cut from what, with those that go with it. */
  function cut(said: string, more: readonly string[]): void {
    const [, source = '', wanted = ''] = /^From (.+?): (.+)\.$/.exec(said) ?? [];
    const given = from(source);
    const along = more.find((each) => /along the (?:longer|shorter) side/.test(each));
    const print = more
      .map((each) => /The print runs (along|across) the cut/.exec(each)?.[1])
      .find(Boolean);
    const [, number = '', what = '', wide = ''] =
      new RegExp(`^cut (?:off )?(\\w+) (.+?), (${figure})`).exec(wanted) ?? [];
    const count = countOf(number);
    const size = lengthOf(wide);
    const setting = more
      .map((each) => new RegExp(`(?:Set the trimmer to|[Mm]easure) (${figure})`).exec(each)?.[1])
      .find(Boolean);
    const beyond = more.some((each) => each.includes('falls off beyond the blade'));
    if (setting === undefined) throw new Error(`No setting: “${said}”`);
    const isStrip = /^strips?$/.test(what);
    const lastIsLeft = more.some((each) => /^The last(?: of each)? needs no cut\.$/.test(each));
    const other = more
      .map((each) => /^What is left(?: of each)? is the (.+)\.$/.exec(each)?.[1])
      .find(Boolean);
    const rest = more
      .map((each) => /^What is left(?: of each)?, (.+), is (?:an offcut|waste)\.$/.exec(each)?.[1])
      .find(Boolean);
    const each = partsTold(wanted, given.length, count);
    let made = 0;
    for (const [at, part] of given.entries()) {
      const isLonger = along === undefined || along.includes('longer');
      const measuresWidth = part.width === part.height || isLonger === part.width > part.height;
      const [whole, held] = measuresWidth ? [part.width, part.height] : [part.height, part.width];
      if (!isLength(beyond ? whole - size : size, lengthOf(setting)))
        throw new Error(`Set to ${setting} for ${wide}: “${said}”`);
      // Which side is up on a print: the cut runs along it or across.
      const made1 = (width: number): Card => {
        if (print === undefined) return bare(width, held);
        return print === 'along' ? bare(width, held, 'top') : bare(held, width, 'top');
      };
      const cuts = each[at] ?? 0;
      for (let i = 0; i < cuts; i++) {
        made++;
        if (isStrip && wanted.startsWith('cut off')) continue;
        if (isStrip) {
          lastStrip = { paper: part.paper, width: size, height: held, isSheet: false };
          parts.push(lastStrip);
        } else put(nameOf(what, count), made1(size));
      }
      const left = whole - cuts * size;
      if (left < -0.02) throw new Error(`More is cut than there is: “${said}”`);
      if (lastIsLeft && !isLength(left, 0))
        throw new Error(`The last is not what is left: “${said}”`);
      if (rest !== undefined && !lengthTold(rest)(left))
        throw new Error(`${left} mm are left, and not ${rest}: “${said}”`);
      if (other !== undefined) put(nameOf(other, 1), made1(left));
      else if (left > 0.02) {
        const still = measuresWidth
          ? { ...part, width: left, isSheet: false }
          : { ...part, height: left, isSheet: false };
        parts.push(still);
      }
    }
    if (made !== count) throw new Error(`${made} and not ${count}: “${said}”`);
  }

  /** Sheets that are pieces as they are. */
  function takeWhole(said: string): void {
    const [, number = '', paper = '', one = ''] =
      /^Take (\w+) whole sheets? of (.+): (?:it is the|each is one) (.+)\.$/.exec(said) ?? [];
    const sheet = sheets.find((each) => each.paper === paper);
    if (!sheet) throw new Error(`No ${paper} was bought`);
    for (let i = 0; i < countOf(number); i++)
      put(nameOf(one, 1), bare(sheet.width, sheet.height, sheet.printTop));
  }

  return { cut, takeWhole, pieces };
}

/** How many come of each of so many parts: `three from each of two and one from the last`. */
function partsTold(wanted: string, parts: number, count: number): readonly number[] {
  const told = [...wanted.matchAll(/(\w+) from (each of (\w+)|each|one|the last)/g)].flatMap(
    ([, number = '', which, of]) => {
      const times = which === 'each' ? parts : of === undefined ? 1 : countOf(of);
      return Array.from({ length: times }, () => countOf(number));
    },
  );
  const all = told.length > 0 ? told : Array.from({ length: parts }, () => count / parts);
  if (all.length !== parts || all.reduce((sum, each) => sum + each, 0) !== count)
    throw new Error(`How many of each: “${wanted}”?`);
  return all;
}

export type { Side };
