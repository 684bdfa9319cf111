import { progressFactsSchema, type ProgressFacts } from '@rangoli/core';
import { z } from 'zod';
import { ask } from './ask.ts';

const answerSchema = z.object({ facts: progressFactsSchema });

/** What all devices have told of the making of a box. */
export async function readProgress(project: string): Promise<ProgressFacts> {
  return answerSchema.parse(await ask('GET', `/progress/${project}`)).facts;
}

/** Adds what this device has told; all that is known then. `keepalive` lets it outlive the page. */
export async function addProgress(
  project: string,
  facts: ProgressFacts,
  keepalive = false,
): Promise<ProgressFacts> {
  return answerSchema.parse(await ask('POST', `/progress/${project}`, { facts }, keepalive)).facts;
}
