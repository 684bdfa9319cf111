/** A part of a sentence: a fraction is drawn as a real one. */
interface Part {
  readonly text: string;
  readonly isFraction: boolean;
}

/** What stands together in a sentence: words, or a figure or size that is not broken over two lines. */
interface Together {
  readonly isFigure: boolean;
  readonly parts: readonly Part[];
}

const figure = String.raw`(?:\d+ )?(?:\d+\/)?\d+(?:\.\d+)?`;
const sizes = new RegExp(`(${figure}(?: × ${figure})*(?: (?:in|mm)\\b)?)`);

function partsOf(words: string): readonly Part[] {
  return words
    .split(/(\d+\/\d+)/)
    .map((text, i) => ({ text, isFraction: i % 2 === 1 }))
    .filter(({ text }) => text !== '');
}

/**
 * A sentence as words and figures in turn, a size as one and figures with their units: `Score at `, `2 5/16`,
 * `, cut to `, `3 × 4 1/2 in`.
 */
export function wordsAndFigures(sentence: string): readonly Together[] {
  return sentence.split(sizes).map((text, i) => ({ isFigure: i % 2 === 1, parts: partsOf(text) }));
}
