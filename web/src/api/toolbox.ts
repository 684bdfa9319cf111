import { toolboxSchema, type Toolbox } from '@rangoli/core';
import { z } from 'zod';
import { ask } from './ask.ts';

const answerSchema = z.object({ toolbox: toolboxSchema });

/** The maker's tools, as the server keeps them. */
export async function readToolbox(): Promise<Toolbox> {
  return answerSchema.parse(await ask('GET', '/toolbox')).toolbox;
}

/** Stores the maker's tools. `keepalive` lets it outlive the page. */
export async function writeToolbox(toolbox: Toolbox, keepalive = false): Promise<void> {
  await ask('PUT', '/toolbox', { toolbox }, keepalive);
}
