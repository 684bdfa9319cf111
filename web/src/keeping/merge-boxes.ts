import {
  mergeChanges,
  projectDocumentSchema,
  type Merged,
  type ProjectDocument,
} from '@rangoli/core';
import { fitted } from '../planner/finished-size.ts';
import type { Versions } from './replica.ts';

/**
 * Two changes of one box brought together. Where both ask for a finished size nobody has told the gift: it is not
 * compared, but found anew for the box that comes of both.
 */
export function mergeBoxes({
  base,
  mine,
  theirs,
}: Versions<ProjectDocument>): Merged<ProjectDocument> {
  const isReckoned = mine.box.finished !== undefined && theirs.box.finished !== undefined;
  const asTold = (document: ProjectDocument): ProjectDocument =>
    isReckoned ? { ...document, box: { ...document.box, gift: base.box.gift } } : document;
  const { value, clashes } = mergeChanges(projectDocumentSchema, {
    base,
    mine: asTold(mine),
    theirs: asTold(theirs),
  });
  const isMade = value.box.made.length > 0;
  // What is cut already is planned round, for the gift that it was cut for.
  const gift = isMade ? (mine.box.made.length > 0 ? mine : theirs).box.gift : value.box.gift;
  return { value: { ...value, box: fitted({ ...value.box, gift }) }, clashes };
}
