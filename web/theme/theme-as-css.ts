import { css, Theme } from '@primeuix/themes';
import type { Plugin } from 'vite';
import { z } from 'zod';
import { preset } from './preset.ts';

/** Where the components of PrimeVue import their styles from. */
const stylesOf = /^@primeuix\/styles\/([a-z]+)$/;
const sheetOf = /^\0?virtual:theme\/([a-z]+)\.css$/;
const scriptOf = /^\0theme:([a-z]+)$/;
/** What all components share: the tokens, and a few rules. */
const shared = 'base';
/** Directives have their tokens under a name of their own. */
const directives: ReadonlySet<string> = new Set(['ripple', 'tooltip']);

const layerOrder = 'reset, tokens, primevue, app';
/** Each sheet tells the order of the layers, for any of them may come first. */
const layers = `@layer ${layerOrder};\n`;

/** What a component’s style module gives. */
const styleSchema = z.object({ style: z.string() });

/** The names under which the theme keeps what it has worked out. */
interface Worked {
  readonly css?: string | undefined;
}

function tokensOf(name: string): string {
  const worked: Worked = directives.has(name)
    ? Theme.getDirective(`${name}-directive`, {})
    : Theme.getComponent(name, {});
  return worked.css ?? '';
}

function sharedTokens(): string {
  const { primitive, semantic, global, style } = Theme.getCommon('', {});
  return (
    [primitive, semantic, global].map((worked: Worked) => worked.css ?? '').join('') + (style ?? '')
  );
}

/**
 * PrimeVue’s theme as style sheets of the build, one a component that is used. Worked out in the browser, from tokens
 * to rules, it took more of a slow tablet’s time than planning a box, and the components tried it again for each
 * control on the page.
 */
export function themeAsCss(): Plugin {
  Theme.setTheme({
    preset,
    options: {
      darkModeSelector: 'system',
      cssLayer: { name: 'primevue', order: layerOrder },
    },
  });
  return {
    name: 'rangoli:theme-as-css',
    enforce: 'pre',
    config: () => ({
      // Bundled ahead for development, the components would bring their styles along, past this.
      optimizeDeps: { exclude: ['primevue', '@primevue/core', '@primeuix/styles'] },
    }),
    resolveId(source) {
      const [, name] = stylesOf.exec(source) ?? [];
      if (name !== undefined) return `\0theme:${name}`;
      return sheetOf.test(source) ? `\0${source}` : undefined;
    },
    async load(id) {
      const [, script] = scriptOf.exec(id) ?? [];
      if (script !== undefined)
        return `import 'virtual:theme/${script}.css';\nexport const style = '';`;
      const [, name] = sheetOf.exec(id) ?? [];
      if (name === undefined) return undefined;
      const { style } = styleSchema.parse(await import(`@primeuix/styles/${name}`));
      const rules = Theme.transformCSS(
        name,
        css`
          ${style}
        ` ?? '',
      );
      return layers + (name === shared ? sharedTokens() : tokensOf(name)) + rules;
    },
  };
}
