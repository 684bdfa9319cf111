function channels(colour: string): readonly [number, number, number] {
  const part = (at: number) => parseInt(colour.slice(at, at + 2), 16) / 255;
  return [part(1), part(3), part(5)];
}

function linear(channel: number): number {
  return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
}

/** Whether white lines show better than ink ones on a colour, `#rrggbb`. */
export function isDark(colour: string): boolean {
  const [red, green, blue] = channels(colour);
  const luminance = 0.2126 * linear(red) + 0.7152 * linear(green) + 0.0722 * linear(blue);
  return luminance < 0.42;
}

/** The colour mixed with black (below 0) or white (above 0), for the shaded sides of a drawn solid. */
export function shade(colour: string, amount: number): string {
  const towards = amount < 0 ? 0 : 255;
  const mixed = channels(colour).map((channel) =>
    Math.round(channel * 255 + (towards - channel * 255) * Math.abs(amount)),
  );
  return `rgb(${mixed.join(' ')})`;
}
