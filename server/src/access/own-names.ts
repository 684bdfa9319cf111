import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';

/** Whether a server may be asked for under this name, without its port. */
export type IsOwnName = (host: string) => boolean;

const here: ReadonlySet<string> = new Set(['localhost', '127.0.0.1']);

/** What a server is called that answers this machine only. */
export const isThisMachine: IsOwnName = (host) => here.has(host);

/**
 * What a server is called in the home network: by the name of this machine, or by any number. A page of
 * somebody else that is made to lead here has a name, never a number.
 */
export function isAtHome(name = hostname().toLowerCase()): IsOwnName {
  const bare = name.replace(/\.local$/, '');
  return (host) =>
    isThisMachine(host) || isIP(host) !== 0 || host === bare || host === `${bare}.local`;
}

/** The usual home networks first; virtual machines live in the others. */
const ranks = [/^192\.168\./, /^10\./, /^172\.(1[6-9]|2\d|3[01])\./];

function rankOf(address: string): number {
  const rank = ranks.findIndex((pattern) => pattern.test(address));
  return rank === -1 ? ranks.length : rank;
}

/** The addresses (IPv4) of this machine in its networks, the one first that a tablet will most likely reach. */
export function homeAddresses(interfaces = networkInterfaces()): readonly string[] {
  return Object.values(interfaces)
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address)
    .filter((address) => !address.startsWith('169.254.'))
    .sort((a, b) => rankOf(a) - rankOf(b));
}
