import { toString } from 'qrcode';

/** An address as a QR code for a page, drawn as SVG. */
export function qrPicture(address: string): Promise<string> {
  return toString(address, { type: 'svg', margin: 2 });
}

/** An address as a QR code for a terminal, in half blocks; without colours where it is read by a program. */
export function qrInText(
  address: string,
  { isTerminal }: { readonly isTerminal: boolean },
): Promise<string> {
  return isTerminal
    ? toString(address, { type: 'terminal', small: true })
    : toString(address, { type: 'utf8' });
}
