/** Has so many boxes made in place of each one. What knows of the making comes when it is needed. */
export async function makeSoMany(box: string, boxes: number): Promise<void> {
  const { useMaking } = await import('./making.ts');
  await useMaking().multiply(box, boxes);
}
