import { ownPrints, type OwnPrint } from '@rangoli/core';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';

const dots = 4;

function shapes({ shapes: all }: OwnPrint): string {
  return all
    .map(({ path, line, strength }) =>
      line === undefined
        ? `<path d="${path}" opacity="${strength}"/>`
        : `<path d="${path}" fill="none" stroke="#000" stroke-width="${line}" opacity="${strength}"/>`,
    )
    .join('');
}

/** How dark a drawing of one repeat is, dot by dot. */
async function drawn({ width, height }: OwnPrint, inside: string): Promise<Buffer> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width * dots}" height="${height * dots}" viewBox="0 0 ${width} ${height}">${inside}</svg>`;
  return sharp(Buffer.from(svg)).flatten({ background: '#ffffff' }).greyscale().raw().toBuffer();
}

describe.each(Object.values(ownPrints))('the print $name', (print) => {
  it('meets itself on all four sides, and shows something', async () => {
    const { width, height } = print;
    const alone = await drawn(print, shapes(print));
    // With its eight neighbours drawn whole, nothing of theirs reaches over.
    const around = [-1, 0, 1].flatMap((x) =>
      [-1, 0, 1].map(
        (y) => `<g transform="translate(${x * width} ${y * height})">${shapes(print)}</g>`,
      ),
    );
    const among = await drawn(print, around.join(''));
    let [differ, dark] = [0, 0];
    alone.forEach((value, i) => {
      if (Math.abs(value - (among[i] ?? 0)) > 40) differ++;
      if (value < 160) dark++;
    });
    expect(differ / alone.length).toBeLessThan(0.002);
    expect(dark / alone.length).toBeGreaterThan(0.01);
    expect(dark / alone.length).toBeLessThan(0.7);
  });

  it('is told to have a way up where it looks otherwise upside down or on its side', async () => {
    const { width, height } = print;
    const upright = await drawn(print, shapes(print));
    const over = await drawn(
      print,
      `<g transform="rotate(180 ${width / 2} ${height / 2})">${shapes(print)}</g>`,
    );
    // How dark its rows are, one by one: a hill at the foot is not one at the top.
    const rows = (buffer: Buffer) =>
      Array.from({ length: height * dots }, (_, y) => {
        const from = y * width * dots;
        const row = buffer.subarray(from, from + width * dots);
        return row.reduce((sum, each) => sum + each, 0) / row.length;
      });
    const [up, down] = [rows(upright), rows(over)];
    const apart = up.reduce((sum, each, i) => sum + Math.abs(each - (down[i] ?? 0)), 0) / up.length;
    if (print.name === 'star trails') {
      expect(print.runs).toBe('one way');
      expect(apart).toBeGreaterThan(15);
    }
    if (print.runs === 'any way') expect(apart).toBeLessThan(15);
  });
});
