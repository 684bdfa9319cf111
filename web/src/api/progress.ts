import { progressSchema, type Progress } from '@rangoli/core';
import { z } from 'zod';
import { ask } from './ask.ts';

const answerSchema = z.object({ progress: progressSchema });

/** How far a box has been made, as the server keeps it. */
export async function readProgress(project: string): Promise<Progress> {
  return answerSchema.parse(await ask('GET', `/progress/${project}`)).progress;
}

/** Stores how far a box has been made. `keepalive` lets it outlive the page. */
export async function writeProgress(
  project: string,
  progress: Progress,
  keepalive = false,
): Promise<void> {
  await ask('PUT', `/progress/${project}`, { progress }, keepalive);
}
