import { definePreset } from '@primeuix/themes';
import Aura from '@primeuix/themes/aura';

/** PrimeVue in Rangoli's colours: ink for what is chosen, turmeric only for what is active. */
export const preset = definePreset(Aura, {
  primitive: {
    borderRadius: { sm: '6px', md: '8px', lg: '10px' },
  },
  semantic: {
    primary: {
      50: '#eef4f2',
      100: '#d5e3df',
      200: '#abc6bf',
      300: '#7fa79e',
      400: '#4f827a',
      500: '#14302d',
      600: '#14302d',
      700: '#102825',
      800: '#0c1f1d',
      900: '#081615',
      950: '#050e0d',
    },
    focusRing: { width: '3px', style: 'solid', color: '#f2b31c', offset: '2px' },
    formField: {
      paddingX: '0.6rem',
      paddingY: '0.32rem',
      sm: { fontSize: '0.875rem', paddingX: '0.5rem', paddingY: '0.25rem' },
    },
    colorScheme: {
      light: {
        surface: {
          0: '#ffffff',
          50: '#f5f8f5',
          100: '#ebf0ed',
          200: '#d9e0dc',
          300: '#b9c6c0',
          400: '#8b9e97',
          500: '#6b827b',
          600: '#566d68',
          700: '#3b524d',
          800: '#24403b',
          900: '#14302d',
          950: '#0c1f1d',
        },
        primary: {
          color: '#14302d',
          contrastColor: '#ffffff',
          hoverColor: '#24403b',
          activeColor: '#3b524d',
        },
        text: { color: '#14302d', mutedColor: '#566d68' },
        highlight: {
          background: '#fff1d0',
          focusBackground: '#fff1d0',
          color: '#14302d',
          focusColor: '#14302d',
        },
      },
      // Where the maker’s device is dark.
      dark: {
        surface: {
          0: '#ffffff',
          50: '#e4efea',
          100: '#c9d8d2',
          200: '#a9beb7',
          300: '#8ba39b',
          400: '#7c958d',
          500: '#556d66',
          600: '#4a615a',
          700: '#3a4d47',
          800: '#23332e',
          900: '#172421',
          950: '#101a18',
        },
        primary: {
          color: '#e4efea',
          contrastColor: '#14302d',
          hoverColor: '#c9d8d2',
          activeColor: '#a9beb7',
        },
        text: {
          color: '#e4efea',
          hoverColor: '#ffffff',
          mutedColor: '#a9beb7',
          hoverMutedColor: '#c9d8d2',
        },
        highlight: {
          background: '#46380f',
          focusBackground: '#46380f',
          color: '#ffffff',
          focusColor: '#ffffff',
        },
      },
    },
  },
  components: {
    slider: {
      handle: {
        width: '24px',
        height: '24px',
        background: '#14302d',
        hoverBackground: '#14302d',
        content: {
          width: '17px',
          height: '17px',
          background: '#ffffff',
          hoverBackground: '#f2b31c',
        },
      },
      // On a dark ground too.
      colorScheme: { dark: { handle: { content: { background: '#ffffff' } } } },
      track: { background: '#d9e0dc', size: '4px' },
      range: { background: '#14302d' },
    },
  },
});
