import { readMeta, writeMeta, type Database } from '../database/index.ts';
import { hashPassphrase, newPassphrase } from './passphrase.ts';
import { qrInText } from './qr.ts';
import { Sessions } from './sessions.ts';

const key = 'passphrase';

/** A server that is open to the home network: who may enter, and the passphrase where it is a new one. */
export interface Shared {
  readonly sessions: Sessions;
  /** What is kept of the passphrase. */
  readonly kept: string;
  /** To be told to the maker, once: it is not kept. */
  readonly passphrase?: string;
}

/**
 * Makes ready to share with the home network. The passphrase is made the first time, and when another one is
 * wanted: then every device is signed out.
 */
export async function share(
  database: Database,
  { wantsAnother }: { readonly wantsAnother: boolean },
): Promise<Shared> {
  const sessions = new Sessions(database);
  const before = await readMeta(database, key);
  if (before !== undefined && !wantsAnother) return { sessions, kept: before };
  const passphrase = newPassphrase();
  const kept = await hashPassphrase(passphrase);
  await writeMeta(database, key, kept);
  await sessions.endAll();
  return { sessions, kept, passphrase };
}

/** What is printed where a shared server was started. */
export async function sharingNotice({
  addresses,
  passphrase,
  isTerminal,
}: {
  readonly addresses: readonly string[];
  readonly passphrase?: string | undefined;
  readonly isTerminal: boolean;
}): Promise<string> {
  const [first, ...others] = addresses;
  const where =
    first === undefined
      ? 'This computer is in no network now. Join one, and start Rangoli again.'
      : [
          `On a tablet or a phone in your home network, open ${first}`,
          ...(others.length > 0 ? [`Or, if that leads nowhere: ${others.join(' or ')}`] : []),
          await qrInText(first, { isTerminal }),
        ].join('\n');
  const how =
    passphrase === undefined
      ? 'The passphrase is the same as before. Who has lost it starts Rangoli with --share --new-passphrase.'
      : `The passphrase is: ${passphrase}\nWrite it down: it is not shown again. Each device asks for it once.`;
  return `\n${where}\n${how}\n`;
}
