/*
 * Rangoli's pages run no code from strings. Zod would try that once: the error that it catches has the browser read the
 * whole script a second time, a quarter of a second on a slow tablet.
 */
Reflect.set(globalThis, '__zod_globalConfig', { jitless: true });
