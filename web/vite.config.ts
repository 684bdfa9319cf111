import vue from '@vitejs/plugin-vue';
import { defaultClientConditions, defineConfig } from 'vite';

export default defineConfig({
  plugins: [vue()],
  resolve: { conditions: ['source', ...defaultClientConditions] },
  server: { port: 4181, proxy: { '/api': `http://localhost:${process.env.PORT ?? '4180'}` } },
  build: { target: 'es2022', reportCompressedSize: false },
});
