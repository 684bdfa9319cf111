<script setup lang="ts">
import { useDocumentVisibility, useEventListener, useIntervalFn } from '@vueuse/core';
import { defineAsyncComponent, nextTick, onErrorCaptured, onMounted, shallowRef, watch } from 'vue';
import { RouterView, useRouter } from 'vue-router';
import { leaveFirstSight } from './first-sight/leave-first-sight.ts';
import { focusNewView } from './parts/focus-main.ts';
import { loadAhead } from './router.ts';
import { useAccess } from './stores/access.ts';
import { useKeeping } from './stores/keeping.ts';
import { useOffline } from './stores/offline.ts';

const ShortcutsDialog = defineAsyncComponent(() => import('./parts/ShortcutsDialog.vue'));
const SignIn = defineAsyncComponent(() => import('./access/SignIn.vue'));

/** The moment from which other views are loaded, by its name for whoever measures. */
const loadingAhead = 'loading ahead';
/** Milliseconds after which a page that was opened loads what may be opened next. */
const untilLoadingAhead = 3000;
/** Milliseconds after which a view that has not come is asked for again. */
const untilAskingAgain = 4000;

const keeping = useKeeping();
const access = useAccess();
const offline = useOffline();
const router = useRouter();
onMounted(() => {
  // What an earlier visit could not send goes on its way, whatever is looked at now.
  void keeping.takeUp();
  void access.refresh();
  setTimeout(() => {
    // What comes from here on is no part of the first view.
    performance.mark(loadingAhead);
    void loadAhead().then(offline.begin);
  }, untilLoadingAhead);
});

// Only the window that is looked at listens: a browser has few lines to one server.
const visibility = useDocumentVisibility();
watch(
  visibility,
  (now, _, onCleanup) => {
    if (now === 'visible') onCleanup(keeping.listen(() => void access.refresh()));
  },
  { immediate: true },
);
useEventListener(window, 'pagehide', () => void keeping.flushOnLeave());
useEventListener(window, 'beforeunload', (event) => {
  // What the browser does not keep would be lost.
  if (keeping.waiting.length > 0 && keeping.safety !== 'kept') event.preventDefault();
});

const showsShortcuts = shallowRef(false);
useEventListener(window, 'keydown', ({ key, target }) => {
  const inText = target instanceof HTMLElement && target.closest('input, textarea') !== null;
  if (key === '?' && !inText) showsShortcuts.value = true;
});

/** Why the view that was asked for is not there. */
const trouble = shallowRef<string>();
/** The address of a view whose script has not come: it is asked for until it does, or another view is opened. */
const missed = shallowRef<string>();
router.onError((_, to) => {
  missed.value = to.fullPath;
});
function askAgain(): void {
  // What goes wrong once more is told by the router.
  if (missed.value !== undefined) void router.push(missed.value).catch(() => undefined);
}
useIntervalFn(askAgain, untilAskingAgain);
router.afterEach((to, from) => {
  trouble.value = undefined;
  missed.value = undefined;
  if (to.name !== 'box' && to.name !== 'shelf') leaveFirstSight();
  // Who has only keys or ears goes on in the view that has come, and not on a link that is gone.
  if (from.name !== undefined && to.name !== from.name) void nextTick(focusNewView);
});
onErrorCaptured((error) => {
  console.error(error);
  leaveFirstSight();
  trouble.value =
    'Something in this view has failed. What you typed is kept; the other views work.';
  return false;
});
</script>

<template>
  <p v-if="trouble" class="trouble" role="alert">
    {{ trouble }}
    <button type="button" @click="trouble = undefined">Close</button>
    <RouterLink v-slot="{ navigate }" to="/" custom
      ><button type="button" @click="navigate">To the shelf</button></RouterLink
    >
  </p>
  <p v-if="missed" class="trouble" role="alert">
    This view has not come: the server doesn’t answer. It is asked for again by itself.
    <button type="button" @click="askAgain">Ask now</button>
    <button type="button" @click="missed = undefined">Stay here</button>
  </p>
  <p v-if="keeping.isAway && offline.opensWithoutServer !== 'yes'" class="stay" role="status">
    The server doesn’t answer. Leave this page open: it can’t be opened again until it does.
  </p>
  <RouterView />
  <ShortcutsDialog v-if="showsShortcuts" @close="showsShortcuts = false" />
  <SignIn v-if="access.isAsked" />
</template>

<style scoped>
/* What is wrong is told over what the server has shown. */
.trouble,
.stay {
  position: relative;
  z-index: 110;
}

.trouble {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 8px 16px;
  color: var(--vermilion);
  background: var(--vermilion-pale);
}

.stay {
  padding: 6px 16px;
  background: var(--turmeric-pale);
}

button {
  padding: 0;
  border: 0;
  font-weight: 700;
  color: inherit;
  text-decoration: underline;
  background: none;
  cursor: pointer;
}
</style>
