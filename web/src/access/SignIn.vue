<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import { ref, shallowRef } from 'vue';
import { useAccess } from '../stores/access.ts';

/** Asks for the passphrase over whatever is open: nothing behind it is lost. */
const access = useAccess();

const passphrase = ref('');
const trouble = shallowRef('');
const isWorking = shallowRef(false);

async function signIn(): Promise<void> {
  trouble.value = '';
  isWorking.value = true;
  try {
    await access.signIn(passphrase.value);
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'That did not work. Try again.';
  } finally {
    isWorking.value = false;
  }
}
</script>

<template>
  <Dialog
    visible
    modal
    header="What is the passphrase?"
    :style="{ width: '480px', maxWidth: '94vw' }"
    @update:visible="(open) => !open && (access.isAsked = false)"
  >
    <form class="sign-in" @submit.prevent="signIn">
      <p>
        Five words. They were printed on the computer on which Rangoli runs, when it was first
        shared.
      </p>
      <label for="passphrase">Passphrase</label>
      <InputText
        id="passphrase"
        v-model="passphrase"
        autofocus
        autocomplete="current-password"
        autocapitalize="none"
        autocorrect="off"
        spellcheck="false"
        :invalid="trouble !== ''"
        aria-describedby="passphrase-trouble"
      />
      <p v-if="trouble" id="passphrase-trouble" class="trouble" role="alert">{{ trouble }}</p>
      <div class="ways">
        <Button
          type="submit"
          label="Sign in"
          :disabled="passphrase.trim() === ''"
          :loading="isWorking"
        />
        <Button
          type="button"
          severity="secondary"
          text
          label="Not now"
          @click="access.isAsked = false"
        />
      </div>
      <p class="quiet">
        Until then, only what this device knows can be opened. What you change is kept here and sent
        once you are signed in.
      </p>
    </form>
  </Dialog>
</template>

<style scoped>
.sign-in {
  display: grid;
  gap: 10px;
}

label {
  font-weight: 600;
}

#passphrase {
  font-size: 18px;
}

.trouble {
  color: var(--vermilion);
}

.ways {
  display: flex;
  gap: 8px;
}
</style>
