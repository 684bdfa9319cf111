import { toMillimetres, type Length, type Unit } from '@rangoli/core';

/** A mark of a ruler: where it is, and how it is drawn. */
export interface RulerMark {
  /** In millimetres from the ruler's beginning. */
  readonly at: number;
  readonly kind: 'figure' | 'half' | 'small';
  /** What stands at it, where there is room for figures. */
  readonly figure?: string;
}

/** A ruler as it is drawn: the pitch of its marks, how far it goes, and how large it stands on the screen. */
export interface DrawnRuler {
  readonly unit: Unit;
  readonly pitch: Length;
  /** In millimetres. */
  readonly from?: number;
  readonly to: number;
  readonly pixelsPerMillimetre: number;
  /** Pixels between small marks at the least; nearer ones are thinned out. */
  readonly apart: number;
  /** Pixels between figures at the least. */
  readonly figuresApart: number;
}

/** A figure stands at every so many inches or centimetres: steps that are counted on without a thought. */
const figureSteps: Readonly<Record<Unit, readonly number[]>> = {
  inch: [1, 2, 3, 6, 12],
  mm: [1, 2, 5, 10, 20],
};

/** The marks of a ruler, small ones thinned out where they would run together. */
export function rulerMarks(ruler: DrawnRuler): readonly RulerMark[] {
  const { unit, from = 0, to, pixelsPerMillimetre, apart, figuresApart } = ruler;
  const pitch = toMillimetres(ruler.pitch);
  const perFigure = Math.max(1, Math.round((unit === 'inch' ? 25.4 : 10) / pitch));
  const every = [1, 2, 5, 10].find((n) => n * pitch * pixelsPerMillimetre >= apart) ?? perFigure;
  const isRoomy = (step: number) => step * perFigure * pitch * pixelsPerMillimetre >= figuresApart;
  const figureEvery = figureSteps[unit].find(isRoomy) ?? Infinity;
  const marks: RulerMark[] = [];
  for (let i = Math.ceil(from / pitch - 1e-6); i * pitch <= to + 0.01; i++) {
    const isFigure = i % perFigure === 0;
    if (!isFigure && i % every !== 0) continue;
    const isHalf = perFigure % 2 === 0 && i % (perFigure / 2) === 0;
    const figure = i / perFigure;
    marks.push({
      at: i * pitch,
      kind: isFigure ? 'figure' : isHalf ? 'half' : 'small',
      ...(isFigure &&
        figure > 0 &&
        figure % figureEvery === 0 && { figure: `${unit === 'inch' ? figure : figure * 10}` }),
    });
  }
  return marks;
}
