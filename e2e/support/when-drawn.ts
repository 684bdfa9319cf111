import type { Page } from '@playwright/test';
import { z } from 'zod';

const drawnSchema = z.record(z.string(), z.number());

/** Notes when each of these is first drawn in a page that is opened from here on: names and selectors. */
export async function noteWhenDrawn(
  page: Page,
  wanted: Readonly<Record<string, string>>,
): Promise<void> {
  await page.addInitScript(`
    window.drawn = {};
    const wanted = new Map(Object.entries(${JSON.stringify(wanted)}));
    new MutationObserver(() => {
      for (const [name, selector] of wanted) {
        if (!document.querySelector(selector)) continue;
        wanted.delete(name);
        // Told once the frame is drawn in which it came.
        requestAnimationFrame(() => setTimeout(() => { window.drawn[name] = performance.now(); }));
      }
    }).observe(document, { childList: true, subtree: true });
  `);
}

/** Milliseconds after which each was drawn, by its name. */
export async function whenDrawn(page: Page): Promise<Readonly<Record<string, number>>> {
  return drawnSchema.parse(await page.evaluate((): unknown => Reflect.get(window, 'drawn')));
}
