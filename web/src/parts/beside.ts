import type { LocationQuery, RouteLocationRaw } from 'vue-router';

/** A view that stands beside a box: the box stays open there, and its views lead back. */
export function beside(place: 'kit' | 'papers', box: string): RouteLocationRaw {
  return { name: place, query: { box } };
}

/** The box that a view stands beside. */
export function boxOf({ box }: LocationQuery): string | undefined {
  return typeof box === 'string' && box !== '' ? box : undefined;
}
