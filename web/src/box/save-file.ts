/** Hands a text to the browser as a file to save. */
export function saveFile(name: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** A name as a file's name: letters and figures of any script, words joined by hyphens. */
export function fileName(name: string, ending: string): string {
  const words = name
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '');
  return `${words === '' ? 'box' : words}.${ending}`;
}
