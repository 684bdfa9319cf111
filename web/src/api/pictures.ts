import { pictureSchema, type Picture } from '@rangoli/core';
import { sendForm } from './ask.ts';

/**
 * Puts in a picture; what is kept of it.
 * @throws ServerRefusal with what is wrong with it, Unreachable when the server doesn’t answer.
 */
export async function putPicture(file: File): Promise<Picture> {
  const form = new FormData();
  form.set('picture', file);
  return pictureSchema.parse(await sendForm('/pictures', form));
}
