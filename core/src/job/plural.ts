/** More than one of a thing: `lids`, `boxes`. */
export function plural(name: string): string {
  const lower = name.toLowerCase();
  return lower.endsWith('x') ? `${lower}es` : `${lower}s`;
}
