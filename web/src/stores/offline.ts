import { defineStore } from 'pinia';
import { shallowRef } from 'vue';

/** Whether this browser opens Rangoli when the server is away: where it allows that, a service worker does it. */
export const useOffline = defineStore('offline', () => {
  const opensWithoutServer = shallowRef(false);

  /** Lets the browser keep the application, where it may. */
  async function begin(): Promise<void> {
    // Browsers allow it on https and on the computer itself, not over the home network.
    if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
    try {
      await navigator.serviceWorker.register('/sw.js');
      await navigator.serviceWorker.ready;
      opensWithoutServer.value = true;
    } catch {
      // Then the page must stay open, and says so.
    }
  }

  return { opensWithoutServer, begin };
});
