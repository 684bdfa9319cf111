import { defineStore } from 'pinia';
import { shallowRef } from 'vue';

/** Whether this browser opens Rangoli when the server is away: where it allows that, a service worker does it. */
export const useOffline = defineStore('offline', () => {
  // Browsers allow it on https and on the computer itself, not over the home network.
  const mayKeep = import.meta.env.PROD && 'serviceWorker' in navigator;
  const opensWithoutServer = shallowRef<'yes' | 'no' | 'not yet'>(mayKeep ? 'not yet' : 'no');

  /** Lets the browser keep the application, where it may. */
  async function begin(): Promise<void> {
    if (!mayKeep) return;
    try {
      await navigator.serviceWorker.register('/sw.js');
      await navigator.serviceWorker.ready;
      opensWithoutServer.value = 'yes';
    } catch {
      opensWithoutServer.value = 'no';
    }
  }

  return { opensWithoutServer, begin };
});
