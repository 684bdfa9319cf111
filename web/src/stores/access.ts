import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { onSignedOut } from '../api/ask.ts';
import * as server from '../api/session.ts';
import { useKeeping } from './keeping.ts';

/** Who may come in to the server, and whether this device has. */
export const useAccess = defineStore('access', () => {
  const keeping = useKeeping();
  /** How this device stands with the server; undefined until it has answered. */
  const session = shallowRef<server.Session>();
  /** Whether the passphrase is asked for. */
  const isAsked = shallowRef(false);

  onSignedOut(() => {
    if (session.value?.isSignedIn !== false) isAsked.value = true;
    if (session.value) session.value = { ...session.value, isSignedIn: false };
  });

  /** Asks the server; nothing changes while it does not answer. */
  async function refresh(): Promise<void> {
    try {
      const before = session.value?.isSignedIn;
      session.value = await server.readSession();
      if (!session.value.isSignedIn && before !== false) isAsked.value = true;
    } catch {
      // It is asked again when it is back.
    }
  }

  /** Says the passphrase, and goes on with all that waited for it. @throws ServerRefusal when it is not the one. */
  async function signIn(passphrase: string): Promise<void> {
    await server.signIn(passphrase);
    isAsked.value = false;
    await refresh();
    await keeping.goOn();
  }

  /** Signs this device out, which forgets what it knows; false while something waits that only it has. */
  async function signOut(): Promise<boolean> {
    await keeping.count();
    if (keeping.waiting.length > 0) return false;
    // What is known here goes only once the server has let this device go.
    await server.signOut();
    return keeping.forgetAll();
  }

  async function signOutEverywhere(): Promise<void> {
    await server.signOutEverywhere();
    await refresh();
  }

  return { session, isAsked, refresh, signIn, signOut, signOutEverywhere };
});
