/** The views, each a script of its own that comes when it is opened. */
export const views = {
  shelf: () => import('./shelf/ShelfView.vue').then((view) => view.default),
  box: () => import('./box/BoxView.vue').then((view) => view.default),
  compare: () => import('./compare/CompareView.vue').then((view) => view.default),
  limits: () => import('./limits/LimitsView.vue').then((view) => view.default),
  make: () => import('./make/MakeView.vue').then((view) => view.default),
  print: () => import('./make/PrintView.vue').then((view) => view.default),
  kit: () => import('./kit/KitView.vue').then((view) => view.default),
  papers: () => import('./papers/PapersView.vue').then((view) => view.default),
  kept: () => import('./access/KeptView.vue').then((view) => view.default),
  nowhere: () => import('./shelf/NowhereView.vue').then((view) => view.default),
};
export type View = keyof typeof views;

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

/** Where each view is, as a router takes it. */
export const addresses: Readonly<Record<View, string>> = {
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
};

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
