/** More than one of a thing: `lids`, `boxes`, `panels`. */
export function plural(name: string): string {
  const lower = name.toLowerCase();
  if (lower.endsWith('s')) return lower;
  return lower.endsWith('x') ? `${lower}es` : `${lower}s`;
}
