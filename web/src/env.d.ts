declare module '*.css';

// vue-tsc reads the components themselves; this is for tools that don't.
declare module '*.vue' {
  import type { DefineComponent } from 'vue';

  const component: DefineComponent;
  export default component;
}
