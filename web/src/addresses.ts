/** Where each view is, as a router takes it. */
export const addresses = {
  shelf: '/',
  box: '/box/:id',
  compare: '/box/:id/compare',
  limits: '/box/:id/limits',
  make: '/box/:id/make',
  print: '/box/:id/print',
  kit: '/kit',
  papers: '/papers',
  kept: '/kept',
  nowhere: '/:path(.*)*',
} as const;
export type View = keyof typeof addresses;

const allViews: readonly View[] = [
  'shelf',
  'box',
  'compare',
  'limits',
  'make',
  'print',
  'kit',
  'papers',
  'kept',
];

/** The box whose view is at a path, by its id; undefined where none is. */
export function boxAt(path: string): string | undefined {
  return /^\/box\/([^/]+)/.exec(path)?.[1];
}

/** The view at a path: told before there is a router. */
export function viewAt(path: string): View {
  const parts = path.split('/');
  const isAt = (address: string) => {
    const wanted = address.split('/');
    return (
      wanted.length === parts.length &&
      wanted.every((part, i) => (part.startsWith(':') ? parts[i] !== '' : part === parts[i]))
    );
  };
  return allViews.find((view) => isAt(addresses[view])) ?? 'nowhere';
}
