import type { Kit } from '../../index.ts';
import { flipped, type Card } from './card.ts';
import { cardFaces, type FacedCard } from './card-faces.ts';
import { cuttingTable, type BoughtSheet } from './cutting.ts';
import { doneTo } from './flat.ts';
import { Gluing, type ReadJoint } from './gluing.ts';
import { laid } from './lying.ts';
import { namedFaces, type NamedFaces } from './named-faces.ts';

/** A step as it stands on a printed sheet: under which tool, for how many pieces, and the sentences. */
export interface ToldStep {
  readonly tool: string;
  readonly copies: number;
  readonly text: string;
}

/** A piece that the reader has made, with how many there are of it. */
export interface MadePiece {
  readonly name: string;
  readonly count: number;
  readonly card: Card;
  /** Its parts, as it lay when they were named; none where nothing is folded. */
  readonly parts?: FacedCard;
}

/** All that a reader has made. */
export interface MadeBox {
  readonly pieces: readonly MadePiece[];
  readonly joints: readonly ReadJoint[];
}

function sentencesOf(text: string): readonly string[] {
  return text.split(/(?<=[.:]) (?=[A-Z])/);
}

/** The steps on the table before anything is folded. */
const flatTools = ['punch board', 'board', 'tip', 'ruler', 'scissors', 'punch'];

/** How a piece is told to lie in the first sentence of a step. */
function lyingTold(lies: string, names: readonly string[]) {
  const name = names.find((each) => lies.startsWith(`${each}, `));
  if (name === undefined) throw new Error(`Which piece: “${lies}”?`);
  const how = lies
    .slice(name.length + 2)
    .replace(/, against the (?:left|right) fence\.$/, '')
    .replace(/\.$/, '');
  return { name, how };
}

/**
 * Makes the pieces of a job from what is told of it and nothing else, and puts them together.
 * @throws Error at the first sentence that can't be followed.
 */
export function readBox(
  steps: readonly ToldStep[],
  kit: Kit,
  sheets: readonly BoughtSheet[],
  names: readonly string[],
  pick: (ways: number) => number,
): MadeBox {
  const flat = readPieces(steps, kit, sheets, names, pick);
  const pieces = new Map(flat.map((piece) => [piece.name, piece]));
  const parts = new Map<string, NamedFaces>();
  const gluing = new Gluing(parts, names);
  for (const { tool, text } of steps) {
    if (tool !== 'glue') continue;
    const sentences = sentencesOf(text);
    const [lies = ''] = sentences;
    if (names.some((each) => lies.startsWith(`${each}, `))) {
      const { name, how } = lyingTold(lies, names);
      const piece = pieces.get(name);
      if (!piece) throw new Error(`There is no ${name}`);
      const card = laid(piece.card, how, pick);
      const faced = cardFaces(card);
      pieces.set(name, { ...piece, card, parts: faced });
      parts.set(name, namedFaces(faced, sentences));
    }
    // A flat piece that something is put on lies as it is told, and has the parts that are told.
    const [, under, how] = /^Lay the (.+) flat, (.+)\.$/.exec(sentences[1] ?? '') ?? [];
    const rows = sentences.filter((each) => / it has .+\.$/.test(each));
    if (under !== undefined && how !== undefined && rows.length > 0) {
      const piece = [...pieces.values()].find((each) => each.name.toLowerCase() === under);
      if (!piece) throw new Error(`There is no ${under}`);
      const told = rows.map((each) => each.replace(' it has ', ' it becomes '));
      namedFaces(cardFaces(laid(piece.card, how, pick)), told);
    }
    gluing.read(sentences);
  }
  return { pieces: [...pieces.values()], joints: gluing.joints };
}

/** Makes the flat pieces of a job. */
function readPieces(
  steps: readonly ToldStep[],
  kit: Kit,
  sheets: readonly BoughtSheet[],
  names: readonly string[],
  pick: (ways: number) => number,
): readonly MadePiece[] {
  const table = cuttingTable(sheets, names);
  for (const { tool, text } of steps) {
    if (tool !== 'trimmer') continue;
    const sentences = sentencesOf(text);
    sentences.forEach((sentence, i) => {
      if (sentence.startsWith('Take ')) table.takeWhole(sentence);
      if (!sentence.startsWith('From ')) return;
      const next = sentences.findIndex((each, at) => at > i && each.startsWith('From '));
      table.cut(sentence, sentences.slice(i + 1, next < 0 ? undefined : next));
    });
  }
  const cards = new Map<string, { count: number; card: Card }>();
  for (const [name, all] of table.pieces) {
    const [first] = all;
    if (!first) continue;
    const sizeOf = ({ width, height }: Card) => [width, height].sort((a, b) => a - b);
    const [short = 0, long = 0] = sizeOf(first);
    for (const each of all) {
      const [one = 0, other = 0] = sizeOf(each);
      if (Math.abs(one - short) > 0.02 || Math.abs(other - long) > 0.02)
        throw new Error(`Not all ${name} are of one size`);
    }
    cards.set(name, { count: all.length, card: first });
  }
  for (const { tool, copies, text } of steps) {
    if (!flatTools.includes(tool)) continue;
    const [lies = '', ...sentences] = sentencesOf(text);
    const { name, how } = lyingTold(lies, names);
    const piece = cards.get(name);
    if (!piece) throw new Error(`There is no ${name}`);
    if (copies !== piece.count) throw new Error(`${copies} of ${piece.count} ${name}`);
    const fence = / against the (left|right) fence\.$/.exec(lies)?.[1];
    if (tool === 'board' && fence !== kit.board.fence) throw new Error(`Which fence: “${lies}”?`);
    const card = laid(piece.card, how, pick);
    const done = doneTo(card, sentences, kit, tool === 'board');
    // What was turned over is turned back to be looked at.
    cards.set(name, {
      count: piece.count,
      card: how.startsWith('turned over') ? flipped(done) : done,
    });
  }
  return [...cards].map(([name, { count, card }]) => ({ name, count, card }));
}
