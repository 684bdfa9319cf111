import type { ProjectDocument } from '@rangoli/core';

/** A stored project. Every accepted change raises its revision by one. */
export interface Project {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly document: ProjectDocument;
}

/** A project that was deleted, and can be put back. */
export interface DeletedProject {
  readonly id: string;
  readonly name: string;
  readonly deletedAt: string;
}

/** What came of a change to a project. */
export type ChangeOutcome =
  | { readonly outcome: 'changed'; readonly project: Project }
  /** Somebody else changed it first: their state, so that nothing is lost. */
  | { readonly outcome: 'stale'; readonly current: Project }
  | { readonly outcome: 'missing' };
