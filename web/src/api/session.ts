import { z } from 'zod';
import { ask } from './ask.ts';

const sessionSchema = z.object({
  /** Whether the server is open to the home network. */
  isShared: z.boolean(),
  /** Whether this is the computer on which the server runs. */
  isHere: z.boolean(),
  isSignedIn: z.boolean(),
  /** How many devices have said the passphrase. */
  devices: z.int().optional(),
  /** Where other devices find the server. */
  addresses: z.array(z.string()).optional(),
  /** The first of them as a QR code, drawn as SVG. */
  qr: z.string().optional(),
});
/** How this device stands with the server. */
export type Session = z.infer<typeof sessionSchema>;

export async function readSession(): Promise<Session> {
  return sessionSchema.parse(await ask('GET', '/session'));
}

/** Says the passphrase. @throws ServerRefusal when it is not the one. */
export async function signIn(passphrase: string): Promise<void> {
  await ask('POST', '/session', { passphrase });
}

/** Signs this device out. */
export async function signOut(): Promise<void> {
  await ask('DELETE', '/session');
}

/** Signs every device out, this one too where it is signed in. */
export async function signOutEverywhere(): Promise<void> {
  await ask('DELETE', '/session/all');
}
