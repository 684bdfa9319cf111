<script setup lang="ts">
import { capitalised, countInWords } from '@rangoli/core';
import { useIntervalFn } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, onMounted } from 'vue';
import { RouterLink, type RouteLocationRaw } from 'vue-router';
import TopBar from '../parts/TopBar.vue';
import { useAttempt } from '../parts/use-attempt.ts';
import type { OnlyHere } from '../keeping/only-here.ts';
import { useAccess } from '../stores/access.ts';
import { useKeeping } from '../stores/keeping.ts';
import { useOffline } from '../stores/offline.ts';

/** What is only on this device, what it can do without the server, and who else may come in. */
const access = useAccess();
const keeping = useKeeping();
const offline = useOffline();

/** Milliseconds between looks after what other windows of this browser have left to send. */
const lookAgain = 2000;
useIntervalFn(() => void keeping.count(), lookAgain);
onMounted(() => {
  void keeping.count();
  void access.refresh();
});

const session = computed(() => access.session);
const answer = computed(() => {
  const count = keeping.waiting.length;
  if (count === 0) return 'Yes. The server has everything that was done on this device.';
  const what = count === 1 ? 'One change is' : `${capitalised(countInWords(count))} changes are`;
  return `${what} only on this device so far.`;
});

const whatItIs = {
  box: 'a box that was changed',
  making: 'how far it is made',
  tool: 'a tool that was changed',
  paper: 'a paper that was changed',
  lesson: 'what a trial box has shown of a paper',
} as const;

function titleOf({ kind, name }: OnlyHere): string {
  if (name !== undefined) return name;
  if (kind === 'tool') return 'My tools';
  return kind === 'paper' || kind === 'lesson' ? 'My papers' : 'A box';
}

function placeOf({ kind, id }: OnlyHere): RouteLocationRaw {
  if (kind === 'tool') return { name: 'kit' };
  if (kind === 'paper' || kind === 'lesson') return { name: 'papers' };
  return { name: kind === 'making' ? 'make' : 'box', params: { id } };
}

const picture = computed(() =>
  session.value?.qr === undefined
    ? undefined
    : `data:image/svg+xml;charset=utf-8,${encodeURIComponent(session.value.qr)}`,
);
const devices = computed(() => {
  const count = session.value?.devices ?? 0;
  if (count === 0) return 'No other device is signed in.';
  return count === 1
    ? 'One device is signed in.'
    : `${capitalised(countInWords(count))} devices are signed in.`;
});

const { trouble, attempt } = useAttempt();

const signOut = () =>
  attempt(async () => {
    if (await access.signOut()) location.assign('/');
    else
      trouble.value = 'Some changes are only on this device. Sign it out once the server has them.';
  });
const signOutEverywhere = () => attempt(() => access.signOutEverywhere());
</script>

<template>
  <div class="view">
    <TopBar place="kept" />
    <main>
      <h1>Is everything kept?</h1>
      <p class="answer" :class="{ waits: keeping.waiting.length > 0 }" role="status">
        {{ answer }}
        <template v-if="keeping.isAway">The server doesn’t answer now.</template>
      </p>
      <p v-if="keeping.safety !== 'kept'" class="trouble" role="alert">
        {{
          keeping.safety === 'page only'
            ? 'This browser keeps nothing once the page is closed, as in a private window.'
            : 'This browser has no room to keep what you change.'
        }}
        Leave this page open until the server has everything.
      </p>
      <section v-if="keeping.waiting.length > 0" aria-labelledby="only-here">
        <h2 id="only-here">Only on this device</h2>
        <ul class="waiting">
          <li v-for="each in keeping.waiting" :key="`${each.kind} ${each.id}`">
            <RouterLink :to="placeOf(each)">{{ titleOf(each) }}</RouterLink>
            <span class="quiet">{{ whatItIs[each.kind] }}</span>
          </li>
        </ul>
        <p>
          They go to the server as soon as it answers. Where one field was changed in two places,
          the box shows both for you to choose.
        </p>
        <Button size="small" label="Send them now" @click="keeping.goOn()" />
      </section>
      <section aria-labelledby="away">
        <h2 id="away">When the server is away</h2>
        <p v-if="offline.opensWithoutServer === 'not yet'" class="quiet">
          Rangoli is being kept on this device, so that it opens without the server…
        </p>
        <p v-else-if="offline.opensWithoutServer === 'yes'">
          Rangoli opens on this device without the server. Boxes that were opened here before can be
          changed, made and printed.
        </p>
        <p v-else>
          Leave the page open: this browser can’t open it again without the server. In the open
          page, boxes that were opened here before can be changed, made and printed.
        </p>
      </section>
      <section v-if="session" aria-labelledby="who">
        <h2 id="who">Who may come in</h2>
        <p v-if="!session.isShared">
          This computer only. For a tablet beside the mat, start Rangoli with
          <code>npm start -- --share</code>.
        </p>
        <template v-else-if="session.isSignedIn">
          <p>Every device in your home network that signs in with the passphrase. {{ devices }}</p>
          <div v-if="session.addresses && session.addresses.length > 0" class="share">
            <img
              v-if="picture"
              :src="picture"
              alt="The address as a QR code"
              width="150"
              height="150"
            />
            <div>
              <p>On another device, open</p>
              <p v-for="address in session.addresses" :key="address" class="address">
                {{ address }}
              </p>
            </div>
          </div>
          <div class="ways">
            <Button
              v-if="!session.isHere"
              size="small"
              severity="secondary"
              outlined
              label="Sign this device out"
              @click="signOut"
            />
            <Button
              size="small"
              severity="secondary"
              outlined
              label="Sign every device out"
              :disabled="session.devices === 0"
              @click="signOutEverywhere"
            />
          </div>
        </template>
        <template v-else>
          <p>Devices that sign in with the passphrase. This one has not.</p>
          <Button size="small" label="Sign in" @click="access.isAsked = true" />
        </template>
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      </section>
    </main>
  </div>
</template>

<style scoped>
main {
  display: grid;
  gap: 22px;
  max-width: 720px;
  margin: 0 auto;
  padding: 26px 24px 80px;
}

h1 {
  font-size: 26px;
}

h2 {
  margin-bottom: 6px;
  font-size: 17px;
}

.answer {
  padding: 12px 16px;
  font-size: 18px;
  background: var(--leaf-pale);
  border-radius: var(--radius);
}

.answer.waits {
  background: var(--turmeric-pale);
}

section {
  display: grid;
  justify-items: start;
  gap: 10px;
}

.waiting {
  width: 100%;
}

.waiting li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}

.waiting a {
  font-weight: 600;
  color: var(--ink);
}

.share {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: center;
}

.share img {
  border: 1px solid var(--rule);
  border-radius: var(--radius);
}

.address {
  font: 700 19px var(--figures);
  user-select: all;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.trouble {
  padding: 8px 12px;
  color: var(--vermilion);
  background: var(--vermilion-pale);
  border-radius: var(--radius);
}
</style>
