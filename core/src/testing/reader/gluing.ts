import type { CardFace } from './card-faces.ts';
import { countOf, figure, lengthOf } from './english.ts';
import { ordinals, type NamedFaces } from './named-faces.ts';
import { folded, others } from './understood.ts';

export type CardSide = 'inside' | 'outside';

/** Parts of one piece that come to lie on parts of the same piece or of another one. */
export interface ReadJoint {
  readonly holds: 'glue' | 'tuck';
  readonly piece: string;
  /** Any of these; the whole piece where it has no parts. */
  readonly faces: readonly CardFace[] | undefined;
  readonly side?: CardSide;
  readonly onPiece: string;
  /** Any of these; the whole piece where it has no parts. */
  readonly on?: readonly CardFace[];
  readonly onSide?: CardSide;
  /** How far the lower edge is above that of the other, in millimetres, where it is told. */
  readonly above?: number;
  /** Whether it is told that their upper edges are level. */
  readonly isLevelAbove?: boolean;
  /** How far its wide end is in from the fold of what it lies on, in millimetres, where it is told. */
  readonly fromFold?: number;
}

/** Pieces whose parts have names by now. */
type Known = ReadonlyMap<string, NamedFaces>;

/** Names of faces out of a row: `the left and the right wall`, `the top flaps of the back and the front wall`. */
export function namesOfFaces(phrase: string): readonly string[] {
  return phrase.split(/, and /).flatMap((group): readonly string[] => {
    const own = (row: string) => row.split(/, | and /).map((each) => each.replace(/^the /, ''));
    const [, ofAll] = /^all four walls( of the lid)?$/.exec(group) ?? [];
    const around = ['left', 'right', 'front', 'back'];
    if (group.startsWith('all four walls'))
      return around.map((side) => `${side} wall${ofAll ?? ''}`);
    const [, many, on = '', ofLid = ''] =
      /^the (.+)s of (all four walls|the .+ wall)( of the lid)?$/.exec(group) ?? [];
    if (many !== undefined)
      return (on === 'all four walls' ? around : own(on.replace(/ wall$/, ''))).map(
        (side) => `${many} of the ${side} wall${ofLid}`,
      );
    const [, row = '', shared = ''] =
      /^(the \w+(?:(?:, | and )the \w+)+) ((?:wall|flap|leg)(?: of the .+)?)$/.exec(group) ?? [];
    if (row !== '') return own(row).map((side) => `${side} ${shared}`);
    return own(group);
  });
}

/** All walls of a piece: round four corners each by its name, round more by their number. */
function wallsOf(all: string): readonly string[] {
  const [, number = '', lid = ''] = /^the (\w+) walls( of the lid)?$/.exec(all) ?? [];
  if (number === 'four') return namesOfFaces(`all four walls${lid}`);
  return Array.from({ length: countOf(number) }, (_, i) => `${ordinals[i] ?? ''} wall`);
}

/** Where something is pressed onto its face. */
const placeOnFace = `as far in from every edge|in the middle|over (?:its|each) window|its wide end along the fold, (${figure}) from it, as far from both ends of the fold`;

/** Puts boxes together from what is told, piece after piece. */
export class Gluing {
  private readonly known: Known;
  private readonly names: readonly string[];
  private piece = '';
  private pending: { side: CardSide; what: string } | undefined;
  readonly joints: ReadJoint[] = [];

  constructor(known: Known, names: readonly string[]) {
    this.known = known;
    this.names = names;
  }

  /** Follows the sentences of one step; throws at the first that can't be followed. */
  read(sentences: readonly string[]): void {
    this.piece = '';
    for (const sentence of sentences) {
      const [, name] = /^(.+?)[.:]$/.exec(sentence) ?? [];
      if (name !== undefined && this.names.includes(name)) this.piece = name;
      else if (this.names.some((each) => sentence.startsWith(`${each}, `)))
        this.piece = this.names.find((each) => sentence.startsWith(`${each}, `)) ?? '';
      else this.follow(sentence);
    }
    if (this.pending) throw new Error(`What is glued to ${this.pending.what}?`);
  }

  private parts(piece = this.piece): NamedFaces {
    const parts = this.known.get(piece);
    if (!parts) throw new Error(`What are the parts of ${piece}?`);
    return parts;
  }

  private faces(phrase: string, piece = this.piece): readonly CardFace[] {
    const [, many] = /^(?:all (\w+)|both) tabs$/.exec(phrase) ?? [];
    if (/^(?:all \w+|both) tabs$/.test(phrase))
      return this.parts(piece).tabs(many === undefined ? 2 : countOf(many));
    const [, number, target] =
      /^(?:(?:all (\w+)|both)|the) (?:tabs?|flaps?) next to the (.+)$/.exec(phrase) ?? [];
    if (target !== undefined) {
      const count = phrase.startsWith('the ') ? 1 : number === undefined ? 2 : countOf(number);
      return this.parts(piece).nextTo(target, count);
    }
    return namesOfFaces(phrase).flatMap((name) => this.named(name, piece));
  }

  /** The faces of a name; where no piece is told, of the only piece that has such a thing. */
  private named(name: string, piece: string): readonly CardFace[] {
    if (piece !== '') return this.parts(piece).find(name);
    const having = [...this.known].flatMap(([each, parts]) => {
      try {
        return [{ piece: each, faces: parts.find(name) }];
      } catch {
        return [];
      }
    });
    const [only] = having;
    if (!only || having.length > 1) throw new Error(`Of which piece is the ${name}?`);
    this.piece = only.piece;
    return only.faces;
  }

  private glued(
    onto: Pick<ReadJoint, 'onPiece' | 'on' | 'onSide' | 'above' | 'isLevelAbove' | 'fromFold'>,
  ): void {
    const { pending } = this;
    if (!pending) throw new Error('Nothing has adhesive on it');
    const what = pending.what.replace(/ of (?:one|the next|the other) [a-z ]+$/, '');
    this.joints.push({
      holds: 'glue',
      piece: this.piece,
      faces: what === `the ${this.piece.toLowerCase()}` ? undefined : this.faces(what),
      side: pending.side,
      ...onto,
    });
    this.pending = undefined;
  }

  private follow(sentence: string): void {
    const match = (pattern: string) => new RegExp(`^${pattern}$`).exec(sentence)?.slice(1);
    const sideOf = (text: string | undefined): CardSide =>
      text === 'inside' ? 'inside' : 'outside';
    const adhesive = match('Adhesive (?:on|all over) the (inside|outside) of (.+)\\.');
    if (adhesive) {
      const [side, what = ''] = adhesive;
      if (this.pending) throw new Error(`What is glued to ${this.pending.what}?`);
      this.pending = { side: sideOf(side), what };
      return;
    }
    // Nothing of the box is glued with the layers of a tag.
    if (match('Adhesive all over the back of the \\w+ tag layer\\.')) return;
    const back = match('Adhesive (?:all over the back|along the edges) of (?:the|each) (.+)\\.');
    if (back) {
      const [what = ''] = back;
      if (this.pending) throw new Error(`What is glued to ${this.pending.what}?`);
      this.pending = { side: 'inside', what: `the ${what}` };
      return;
    }
    const wornOn = match(
      `Press (?:it|one) onto the (inside|outside) of (?:each of these: )?(?:each of (the \\w+ walls(?: of the lid)?)|(.+)) of the ([a-z ]+), (?:${placeOnFace})\\.`,
    );
    const onWhole = match(
      `Press (?:it|one) onto the (inside|outside) of the ([a-z ]+), (?:${placeOnFace})\\.`,
    );
    const wornOnPiece = this.names.some((name) => name.toLowerCase() === onWhole?.[1])
      ? onWhole
      : undefined;
    const wornOnLayer = match(
      'Press (?:it|one) onto (?:the|each) ([a-z ]+ (?:panel|stiffener|liner)), (?:as far in from every edge|in the middle|over (?:its|each) window)\\.',
    );
    const lining = match(
      'Press (?:it|one) onto the inside of (?:each of (the \\w+ walls)|(.+)) of the ([a-z ]+), standing on the floor, as far from both ends\\.',
    );
    const seam = match(
      'Fold the walls round, and press the (inside|outside) of the (.+) onto the seam, edges level\\.',
    );
    const up = match(
      'Fold the (.+) up and press its (inside|outside) onto (?:it|them); hold it\\.',
    );
    const own = match(
      'Turn (?:it|each) in, and press it onto the (inside|outside) of (?:its own|the) wall(?: and its tabs)?\\.',
    );
    const onto = match(
      'Fold (?:it|them) in, and press (?:it|them) onto the (inside|outside) of (.+)\\.',
    );
    const plate = match(
      'Press the (inside|outside) of the (.+) onto (?:it|them), edges level; hold it\\.',
    );
    const wall = match(
      `Press it onto the (inside|outside) of the (.+) of the ([a-z ]+), in the middle, (?:lower edges level|edges level|its (score) level with the upper edge of the wall|its lower edge (${figure}) above that of the wall)\\.`,
    );
    const bottom = match(
      'Turn the ([a-z ]+) upside down, and press the .+ onto its bottom, as far in from every edge\\.',
    );
    const lowered = match('Lower the seat, and press the tab onto the (inside|outside) of (.+)\\.');
    const sameOnWalls = match('Do the same with the other (\\w+) on (.+)\\.');
    const again = match(
      'Do the same with (the tab of the \\w+ wall), onto that of the (\\w+ wall)\\.',
    );
    const here = this.piece;
    const pieceCalled = (name: string) => {
      const piece = this.names.find((each) => each.toLowerCase() === name);
      if (piece === undefined) throw new Error(`Which piece is the ${name}?`);
      return piece;
    };
    if (seam) {
      const [side, name = ''] = seam;
      this.glued({ onPiece: here, on: this.faces(`the ${name}`), onSide: sideOf(side) });
    } else if (up) {
      const [name = '', side] = up;
      this.glued({ onPiece: here, on: this.faces(`the ${name}`), onSide: sideOf(side) });
    } else if (own && this.pending) {
      const [side] = own;
      const walls = namesOfFaces(this.pending.what).flatMap((name) =>
        this.parts().find(name.replace(/^rim of the /, '')),
      );
      const tabs = sentence.includes('and its tabs') ? this.parts().around(walls) : [];
      this.glued({ onPiece: here, on: [...walls, ...tabs], onSide: sideOf(side) });
    } else if (onto) {
      const [side, names = ''] = onto;
      this.glued({ onPiece: here, on: this.faces(names), onSide: sideOf(side) });
    } else if (plate) {
      const [side, name = ''] = plate;
      this.glued({ onPiece: pieceCalled(name), onSide: sideOf(side) });
    } else if (wall) {
      const [side, name = '', piece = '', score, above] = wall;
      const other = pieceCalled(piece);
      this.glued({
        onPiece: other,
        on: this.faces(`the ${name}`, other),
        onSide: sideOf(side),
        ...(score === undefined
          ? { above: above === undefined ? 0 : lengthOf(above) }
          : { isLevelAbove: true }),
      });
    } else if (wornOn && !wornOnPiece) {
      const [side, all, names = '', under = '', inward] = wornOn;
      const onPiece = pieceCalled(under);
      const { pending } = this;
      // A wall may be scored across: it is one place to glue to, whatever its parts.
      for (const name of all === undefined ? namesOfFaces(names) : wallsOf(all)) {
        this.pending = pending;
        this.glued({
          onPiece,
          on: this.named(name, onPiece),
          onSide: sideOf(side),
          ...(inward !== undefined && { fromFold: lengthOf(inward) }),
        });
      }
    } else if (wornOnPiece) {
      const [side, under = ''] = wornOnPiece;
      this.glued({ onPiece: pieceCalled(under), onSide: sideOf(side) });
    } else if (wornOnLayer) {
      const [under = ''] = wornOnLayer;
      this.glued({ onPiece: pieceCalled(under), onSide: 'outside' });
    } else if (lining) {
      const [all, names = '', under = ''] = lining;
      const onPiece = pieceCalled(under);
      // What stands on the floor by itself has no part of the wall to lie level with: the wall must be there.
      for (const name of all === undefined ? namesOfFaces(names) : wallsOf(all))
        this.named(name, onPiece);
      this.pending = undefined;
    } else if (lowered) {
      const [side, names = ''] = lowered;
      this.glued({ onPiece: here, on: this.faces(names), onSide: sideOf(side) });
    } else if (sameOnWalls) {
      const [number = '', names = ''] = sameOnWalls;
      const last = this.joints[this.joints.length - 1];
      const walls = namesOfFaces(names);
      if (!last || walls.length !== countOf(number))
        throw new Error(`The same with which: “${sentence}”?`);
      for (const wall of walls)
        this.joints.push({ ...last, on: this.faces(`the ${wall}`, last.onPiece) });
    } else if (again) {
      const [tab = '', wall = ''] = again;
      const last = this.joints[this.joints.length - 1];
      if (!last?.side || !last.onSide) throw new Error(`The same as what: “${sentence}”?`);
      this.pending = { side: last.side, what: tab };
      this.glued({
        onPiece: here,
        on: this.faces(`the tab of the ${wall}`),
        onSide: last.onSide,
      });
    } else if (bottom) {
      const [under = ''] = bottom;
      this.glued({ onPiece: pieceCalled(under), onSide: 'outside' });
    } else this.tuck(sentence);
  }

  private tuck(sentence: string): void {
    const [, flaps, behind] =
      /^Tuck (.+) in(?: behind (.+)|, each behind the wall on its side)\.$/.exec(sentence) ?? [];
    const [, side, walls] =
      /^Lay (?:it|them) flat against the (inside|outside) of (.+); nothing is glued\.$/.exec(
        sentence,
      ) ?? [];
    const isHooked =
      sentence ===
      'Bring the walls round, and hook both ends into each other by their slits, both tips inside; nothing is glued.';
    if (flaps !== undefined) {
      for (const name of namesOfFaces(flaps)) {
        const wall = behind ?? `the ${name.split(' ')[0] ?? ''} wall`;
        const faces = this.faces(`the ${name}`);
        const piece = this.piece;
        this.joints.push({ holds: 'tuck', piece, faces, onPiece: piece, on: this.faces(wall) });
      }
    } else if (isHooked) {
      const piece = this.piece;
      this.joints.push({
        holds: 'tuck',
        piece,
        faces: this.faces('the other end'),
        onPiece: piece,
        on: this.faces('the one end'),
      });
    } else if (walls !== undefined) {
      const on = this.faces(walls);
      const piece = this.piece;
      this.joints.push({
        holds: 'tuck',
        piece,
        faces: this.parts().around(on),
        onPiece: piece,
        on,
        onSide: side === 'inside' ? 'inside' : 'outside',
      });
    } else if (!others.some((pattern) => pattern.test(sentence))) {
      const what = folded.flatMap((pattern) => pattern.exec(sentence)?.[1] ?? [])[0];
      if (what === undefined) {
        if (!/^From .+ it (?:becomes|has) .+\.$/.test(sentence))
          throw new Error(`What does it mean: “${sentence}”?`);
        return;
      }
      this.faces(what);
    }
  }
}
