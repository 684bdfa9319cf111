import { ownPrints, repeatOf, toMillimetres, type Print, type PrintShape } from '@rangoli/core';

/** What one repeat of a print is drawn from: shapes in its own units in an ink, or a picture. */
export type PrintParts = {
  /** Of one repeat, in millimetres. */
  readonly width: number;
  readonly height: number;
} & (
  | {
      readonly kind: 'own';
      readonly ink: string;
      readonly shapes: readonly PrintShape[];
      /** Millimetres for one of its own units. */
      readonly scale: number;
    }
  | { readonly kind: 'picture'; readonly address: string }
);

/** Where a kept picture is fetched from. */
export function pictureAddress(id: string): string {
  return `/api/pictures/${id}`;
}

/** A print ready to be drawn. */
export function printParts(print: Print): PrintParts {
  const size = repeatOf(print);
  const [width, height] = [toMillimetres(size.width), toMillimetres(size.height)];
  if (print.kind === 'picture')
    return { kind: 'picture', width, height, address: pictureAddress(print.picture.id) };
  const { shapes, width: units } = ownPrints[print.print];
  return { kind: 'own', width, height, ink: print.ink, shapes, scale: width / units };
}
