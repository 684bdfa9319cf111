import { randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto';
import { z } from 'zod';
import { jsonIn } from '../database/index.ts';
import { passphraseWords } from './words.ts';

/** Five of 256 words: 40 bits, of which ten may be guessed in a quarter of an hour. */
const wordsInAll = 5;

/** What scrypt is given (RFC 7914): 32 MB of memory and about a tenth of a second for each guess. */
const strength = { cost: 2 ** 15, blockSize: 8, parallelization: 1 };
const keyBytes = 32;
const memory = 64 * 2 ** 20;

const keptSchema = z.object({ salt: z.base64(), key: z.base64() });

/** A passphrase that nobody has thought of: words to be read off one screen and typed on another. */
export function newPassphrase(): string {
  return Array.from(
    { length: wordsInAll },
    () => passphraseWords[randomInt(passphraseWords.length)] ?? '',
  ).join(' ');
}

/** The same passphrase however a tablet has written it: capitals, hyphens and spaces do not matter. */
function plainly(passphrase: string): string {
  return passphrase
    .toLocaleLowerCase('en')
    .split(/[^a-z]+/)
    .filter((word) => word !== '')
    .join(' ');
}

function keyOf(passphrase: string, salt: Buffer): Promise<Buffer> {
  return new Promise((found, failed) => {
    scrypt(plainly(passphrase), salt, keyBytes, { ...strength, maxmem: memory }, (error, key) => {
      if (error) failed(error);
      else found(key);
    });
  });
}

/** What may be kept of a passphrase: it can be checked against it, and not be found from it. */
export async function hashPassphrase(passphrase: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await keyOf(passphrase, salt);
  return JSON.stringify({ salt: salt.toString('base64'), key: key.toString('base64') });
}

/** Whether somebody has said the passphrase that `kept` was made from; as slow for a wrong one as for the right. */
export async function isPassphrase(said: string, kept: string): Promise<boolean> {
  const parsed = keptSchema.safeParse(jsonIn(kept));
  if (!parsed.success) return false;
  const key = Buffer.from(parsed.data.key, 'base64');
  const guess = await keyOf(said, Buffer.from(parsed.data.salt, 'base64'));
  return key.length === guess.length && timingSafeEqual(key, guess);
}
