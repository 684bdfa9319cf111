import '@fontsource-variable/bricolage-grotesque/index.css';
import '@fontsource-variable/commissioner/index.css';
import './style/tokens.css';
import './style/base.css';
import './style/drawings.css';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';

createApp(App)
  .use(createPinia())
  .use(router)
  // Its style sheets are made by the build.
  .use(PrimeVue, { theme: 'none' })
  .mount('#app');
