import '@fontsource-variable/bricolage-grotesque/index.css';
import '@fontsource-variable/commissioner/index.css';
import './style/tokens.css';
import './style/base.css';
import './style/drawings.css';
import './style/first-sight.css';
import './style/forced-colors.css';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';

/** A list that opens has no stops for the keys that nobody sees: Tab goes on from the field that opened it. */
const noHiddenStops = {
  hiddenFirstFocusableEl: { tabindex: -1 },
  hiddenLastFocusableEl: { tabindex: -1 },
};

createApp(App)
  .use(createPinia())
  .use(router)
  // Its style sheets are made by the build.
  .use(PrimeVue, { theme: 'none', pt: { select: noHiddenStops } })
  .mount('#app');
