import { CanvasTexture, RepeatWrapping, SRGBColorSpace, type Texture } from 'three';
import type { CardSide } from './card-look.ts';
import { printParts, type PrintParts } from './print-parts.ts';

/** Dots of a texture for a millimetre of paper, and the most that one side of it has. */
const [fine, most] = [16, 1024];

/** A maker who tries colours leaves many behind: more prints than one box has. */
const mostKept = 80;

function dotsOf({ width, height }: PrintParts): number {
  return Math.min(fine, most / Math.max(width, height));
}

function repeated(canvas: HTMLCanvasElement): CanvasTexture {
  const texture = new CanvasTexture(canvas);
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  texture.colorSpace = SRGBColorSpace;
  texture.anisotropy = 8;
  return texture;
}

function paint(context: CanvasRenderingContext2D, colour: string, parts: PrintParts): void {
  const { canvas } = context;
  context.fillStyle = colour;
  context.fillRect(0, 0, canvas.width, canvas.height);
  if (parts.kind !== 'own') return;
  context.save();
  context.scale(
    (canvas.width / parts.width) * parts.scale,
    (canvas.height / parts.height) * parts.scale,
  );
  for (const { path, line, strength } of parts.shapes) {
    const shape = new Path2D(path);
    context.globalAlpha = strength;
    if (line === undefined) {
      context.fillStyle = parts.ink;
      context.fill(shape);
    } else {
      context.strokeStyle = parts.ink;
      context.lineWidth = line;
      context.stroke(shape);
    }
  }
  context.restore();
}

/** Dots of the grain of plain card, each way, and how much darker than the card its darkest are. */
const [grainDots, grainDepth] = [192, 0.11];

/** The next of a row of numbers from 0 to 1 that follow no order, always the same row. */
function* scattered(): Generator<number, never> {
  let seed = 20260;
  for (;;) {
    seed = (seed * 1664525 + 1013904223) % 4294967296;
    yield seed / 4294967296;
  }
}

/** Short fibres that lie all ways, so faint that the card keeps its colour; they go on over the border. */
function paintGrain(context: CanvasRenderingContext2D): void {
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, grainDots, grainDots);
  const numbers = scattered();
  const next = () => numbers.next().value;
  context.lineWidth = 1;
  for (let fibre = 0; fibre < 1500; fibre++) {
    const [x, y, turn] = [next() * grainDots, next() * grainDots, next() * 2 * Math.PI];
    const [across, down] = [Math.cos(turn) * 5, Math.sin(turn) * 5];
    context.strokeStyle = `rgb(0 0 0 / ${next() * grainDepth})`;
    for (const left of [-grainDots, 0, grainDots])
      for (const top of [-grainDots, 0, grainDots]) {
        context.beginPath();
        context.moveTo(x + left, y + top);
        context.lineTo(x + left + across, y + top + down);
        context.stroke();
      }
  }
}

/** The prints of a box in space, each painted once, and the grain of card without one. */
export class PrintTextures {
  readonly #made = new Map<string, Texture>();
  #grain: Texture | undefined;
  readonly #changed: () => void;

  /** Told when a picture has come, so that the box is drawn again. */
  constructor(changed: () => void) {
    this.#changed = changed;
  }

  /** The texture of one repeat of a side's print; undefined for a side without one. */
  of({ colour, laid }: CardSide): Texture | undefined {
    if (!laid) return undefined;
    const key = `${colour} ${JSON.stringify(laid.print)}`;
    const known = this.#made.get(key);
    if (known) return known;
    const parts = printParts(laid.print);
    const canvas = document.createElement('canvas');
    const dots = dotsOf(parts);
    canvas.width = Math.max(16, Math.round(parts.width * dots));
    canvas.height = Math.max(16, Math.round(parts.height * dots));
    const context = canvas.getContext('2d');
    const texture = repeated(canvas);
    const [oldest] = this.#made.keys();
    if (this.#made.size >= mostKept && oldest !== undefined) {
      this.#made.get(oldest)?.dispose();
      this.#made.delete(oldest);
    }
    this.#made.set(key, texture);
    if (!context) return texture;
    paint(context, colour, parts);
    if (parts.kind === 'picture') this.#fetch(parts.address, context, texture);
    return texture;
  }

  /** The grain of plain card, to be seen through by its colour. */
  grain(): Texture {
    if (this.#grain) return this.#grain;
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = grainDots;
    const context = canvas.getContext('2d');
    if (context) paintGrain(context);
    this.#grain = repeated(canvas);
    return this.#grain;
  }

  dispose(): void {
    for (const texture of this.#made.values()) texture.dispose();
    this.#grain?.dispose();
    this.#grain = undefined;
    this.#made.clear();
  }

  /** Until a picture has come, and where it can't, its paper has the plain colour. */
  #fetch(address: string, context: CanvasRenderingContext2D, texture: Texture): void {
    const image = new Image();
    image.addEventListener('load', () => {
      context.drawImage(image, 0, 0, context.canvas.width, context.canvas.height);
      texture.needsUpdate = true;
      this.#changed();
    });
    image.src = address;
  }
}
