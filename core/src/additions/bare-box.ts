import type { DressedBox } from './undress.ts';

/** A box without what it wears; its windows are no matter. */
export function bareBox({ assembly, ...drawn }: DressedBox): DressedBox {
  const parts = assembly.parts.filter(
    ({ worn, lies, wraps, isHandle }) => !worn && !lies && !wraps && !isHandle,
  );
  const isBare = (id: string) => parts.some((part) => part.id === id);
  const stacks = assembly.stacks.filter(({ face, on }) => isBare(face.part) && isBare(on.part));
  return {
    ...drawn,
    pieces: drawn.pieces.filter(({ id }) => parts.some(({ piece }) => piece === id)),
    assembly: { ...assembly, parts, stacks },
  };
}
